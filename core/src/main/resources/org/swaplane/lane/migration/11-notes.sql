create table note (
    id integer primary key,
    uid text not null,
    track integer not null references track(id),
    version integer not null,
    key text not null,
    span_start integer not null,
    span_end integer not null,
    author text not null,
    at text not null,
    text text not null,
    settled integer not null default 0,
    answers text not null default '');
create index note_by_track on note (track, version, key);
create table bookmark (
    track integer not null references track(id),
    version integer not null,
    key text not null,
    primary key (track, version, key));
