alter table track add column folder text not null default '';
alter table track add column due text not null default '';
alter table track add column removed_at text not null default '';
