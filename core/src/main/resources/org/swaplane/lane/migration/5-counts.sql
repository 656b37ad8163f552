-- What the board says of a track without reading its file.
alter table track add column counts text not null default '';

alter table track add column read_source_language text not null default '';

alter table track add column read_target_language text not null default '';
