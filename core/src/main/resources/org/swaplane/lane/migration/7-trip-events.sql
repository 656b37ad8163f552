alter table trip add column due text not null default '';
alter table trip add column numbers text not null default '';
alter table trip add column words integer not null default 0;
create table trip_event (id integer primary key, trip text not null, at text not null, who text not null, kind text not null, detail text not null);
create index trip_event_of on trip_event (trip);
insert into trip_event (trip, at, who, kind, detail) select code, sent_at, person, 'SENT', sent_name from trip;
insert into trip_event (trip, at, who, kind, detail) select code, back_at, person, 'RETURNED', back_name from trip where back_at <> '';
