-- Words of the source at the time, so that effort is told without reading files; -1 in what was written before.
alter table change add column words integer not null default -1;
alter table visit add column words integer not null default -1;
-- Time in the lane's other views; the track and the trip that were looked at, where there were any.
create table lane_visit (
    id integer primary key,
    view text not null,
    track integer references track(id),
    trip text not null,
    who text not null,
    began_at text not null,
    ended_at text not null,
    active_ms integer not null);
-- Time that was entered by hand, added or taken off; never changed, only withdrawn.
create table time_correction (
    id integer primary key,
    track integer references track(id),
    day text not null,
    who text not null,
    activity text not null,
    ms integer not null,
    reason text not null,
    made_by text not null,
    at text not null,
    withdrawn integer not null default 0);
