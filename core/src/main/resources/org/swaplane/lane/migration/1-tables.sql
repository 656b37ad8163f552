create table if not exists setting (key text primary key, value text not null) without rowid;

create table if not exists track (
    id integer primary key, name text not null, sha256 text not null, format text not null, added_at text not null,
    source_language text not null default '', target_language text not null default '',
    segmentation text not null default '', options text not null default '');

create table if not exists step (
    id integer primary key, track integer not null references track, kind text not null, who text not null,
    at text not null, trip text not null default '', undone integer not null default 0);

create index if not exists step_by_track on step (track, undone, id);

create table if not exists change (
    step integer not null references step, segment integer not null, key text not null,
    target_before text not null, state_before text not null, target_after text not null, state_after text not null,
    locked_before integer not null default 0, locked_after integer not null default 0);

create index if not exists change_by_step on change (step);

create index if not exists change_by_segment on change (segment);

create table if not exists remark (
    id integer primary key, track integer not null references track, segment integer not null, author text not null,
    date text not null, text text not null, trip text not null);

create table if not exists trip (
    code text primary key, track integer not null references track, person text not null, purpose text not null,
    sent_at text not null, sent_name text not null, sent_sha256 text not null, back_at text not null default '',
    back_name text not null default '', back_sha256 text not null default '', changes_taken integer not null default 0,
    report text not null default '') without rowid;

create table if not exists set_aside (
    track integer not null references track, identity text not null, segment integer not null, check_id text not null,
    message text not null, reason text not null, who text not null, at text not null,
    primary key (track, identity)) without rowid;

create table if not exists dry_run (
    track integer primary key references track, at text not null, verdict text not null, proofs text not null,
    version text not null default '');

create table if not exists ticked_off (
    track integer not null references track, proof text not null, place text not null, words text not null,
    reason text not null, who text not null, at text not null,
    primary key (track, proof, place, words)) without rowid;

create table if not exists receipt (
    id integer primary key, track integer not null references track, at text not null, who text not null,
    file text not null, sha256 text not null, override_reason text not null, receipt text not null);
