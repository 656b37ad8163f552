-- Remarks and decisions about findings go by key; a decision by the rule and its arguments, not by the sentence shown.
alter table remark rename to remark_by_position;

create table remark (
    id integer primary key, track integer not null references track, key text not null, author text not null,
    date text not null, text text not null, trip text not null, position integer);

insert into remark (id, track, key, author, date, text, trip, position)
    select id, track, '', author, date, text, trip, segment from remark_by_position;

drop table remark_by_position;

alter table set_aside rename to set_aside_by_position;

create table set_aside (
    track integer not null references track, identity text not null, key text not null, check_id text not null,
    rule text not null, arguments text not null, reason text not null, who text not null, at text not null,
    position integer, message text, primary key (track, identity)) without rowid;

insert into set_aside (track, identity, key, check_id, rule, arguments, reason, who, at, position, message)
    select track, identity, '', check_id, '', '[]', reason, who, at, segment, message from set_aside_by_position;

drop table set_aside_by_position;
