create table release (
    number integer primary key,
    at text not null,
    who text not null,
    place text not null,
    sha256 text not null,
    files integer not null,
    segments integer not null,
    words integer not null,
    reason text not null,
    receipt text not null);
create table release_file (
    release integer not null references release(number),
    track integer not null references track(id),
    version integer not null,
    path text not null,
    form text not null,
    source_language text not null,
    target_language text not null,
    segments integer not null,
    words integer not null,
    bytes integer not null,
    sha256 text not null,
    original text not null);
create index release_file_of on release_file (release);
create index release_file_by_track on release_file (track);
create table release_condition (
    release integer not null references release(number),
    track integer not null references track(id),
    condition text not null,
    met integer not null,
    reason text not null);
create index release_condition_of on release_condition (release);
create table waiver (
    track integer not null references track(id),
    condition text not null,
    reason text not null,
    who text not null,
    at text not null,
    primary key (track, condition));
-- Before, each file was released by itself.
insert into release (number, at, who, place, sha256, files, segments, words, reason, receipt)
    select row_number() over (order by receipt.id), receipt.at, receipt.who, receipt.file, receipt.sha256, 1, 0, 0,
        override_reason, receipt.receipt from receipt;
insert into release_file (release, track, version, path, form, source_language, target_language, segments, words, bytes, sha256, original)
    select row_number() over (order by receipt.id), receipt.track, track.version, receipt.file, 'file',
        track.source_language, track.target_language, 0, 0, 0, receipt.sha256, track.name
    from receipt join track on track.id = receipt.track;
drop table receipt;
