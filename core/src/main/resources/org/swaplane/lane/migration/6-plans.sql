alter table track add column folder text not null default '';
alter table track add column due text not null default '';
alter table trip add column withdrawn integer not null default 0;
alter table track add column removed_at text not null default '';
