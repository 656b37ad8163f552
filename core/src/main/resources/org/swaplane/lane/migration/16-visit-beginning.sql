alter table visit add column target_empty integer not null default -1
