alter table trip add column rate text not null default '';
