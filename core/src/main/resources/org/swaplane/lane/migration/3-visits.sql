-- How long somebody was at a segment.
create table visit (
    id integer primary key, track integer not null references track, version integer not null, key text not null,
    who text not null, began_at text not null, ended_at text not null, active_ms integer not null);

create index visit_by_segment on visit (track, key);
