-- A track has versions of its source; what is known of segments by key holds for one of them.
alter table track add column version integer not null default 1;

alter table track add column sketch text not null default '';

alter table source_version add column name text not null default '';

alter table source_version add column outcomes text not null default '';

update source_version set name = (select name from track where track.id = source_version.track);

alter table step add column version_before integer;

alter table change add column key_before text;

alter table trip add column version integer not null default 1;

alter table remark add column version integer not null default 1;

create table carried_proposal (
    track integer not null references track, version integer not null, key text not null, source text not null,
    target text not null, score integer not null, origin text not null, primary key (track, version, key)) without rowid;
