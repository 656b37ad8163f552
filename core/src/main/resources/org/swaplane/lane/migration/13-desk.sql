create table desk_task (
    desk text not null,
    id text not null,
    task text not null,
    form text not null default '',
    release integer,
    sha256 text not null default '',
    receipt text not null default '',
    primary key (desk, id)) without rowid;
create table desk_file (
    desk text not null,
    task text not null,
    returned text not null,
    track integer not null references track(id),
    primary key (desk, task, returned)) without rowid;
create table desk_problem (
    id integer primary key,
    desk text not null,
    task text not null,
    kind text not null,
    file text not null,
    track integer,
    key text not null,
    message text not null);
create table desk_event (
    id integer primary key,
    desk text not null,
    task text not null,
    at text not null,
    who text not null,
    kind text not null,
    detail text not null);
