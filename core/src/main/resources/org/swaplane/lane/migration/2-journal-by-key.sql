-- The journal speaks of segments by their keys and of versions of their document. A position is left only
-- where a track has not been read since; then its key is found, and the position is forgotten.
create table source_version (
    id integer primary key, track integer not null references track, number integer not null, sha256 text not null,
    added_at text not null, unique (track, number));

insert into source_version (track, number, sha256, added_at) select id, 1, sha256, added_at from track;

alter table step add column version integer not null default 1;

alter table step add column visit integer;

alter table step add column undone_at text not null default '';

alter table step add column options_before text;

alter table step add column options_after text;

update step set kind = 'RESEGMENTED' where kind = 'RECUT';

alter table change rename to change_by_position;

drop index change_by_step;

drop index change_by_segment;

create table change (
    step integer not null references step, key text not null,
    target_before text not null, state_before text not null, locked_before integer not null,
    target_after text not null, state_after text not null, locked_after integer not null, position integer);

insert into change (step, key, target_before, state_before, locked_before, target_after, state_after, locked_after, position)
    select step, key, target_before, state_before, locked_before, target_after, state_after, locked_after, segment
    from change_by_position order by rowid;

drop table change_by_position;

create index change_by_step on change (step);

create index change_by_key on change (key);

create index change_by_position on change (position) where position is not null;
