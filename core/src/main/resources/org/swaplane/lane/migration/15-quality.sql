create table evaluation (
    id integer primary key,
    name text not null,
    scheme text not null,
    tracks text not null,
    sample_words integer not null,
    seed integer not null,
    blind integer not null,
    made_by text not null,
    at text not null,
    closed_at text not null default '',
    result text not null default '');
-- What was drawn; nothing for an evaluation of everything.
create table evaluation_segment (
    evaluation integer not null references evaluation(id),
    track integer not null references track(id),
    version integer not null,
    key text not null,
    words integer not null,
    primary key (evaluation, track, version, key)) without rowid;
create table quality_error (
    id integer primary key,
    evaluation integer not null references evaluation(id),
    track integer not null references track(id),
    version integer not null,
    key text not null,
    in_source integer not null,
    span_start integer not null,
    span_end integer not null,
    marked text not null,
    category text not null,
    severity text not null,
    comment text not null,
    correction text not null,
    who text not null,
    at text not null,
    answer text not null default '',
    answer_reason text not null default '',
    answered_by text not null default '',
    upheld text not null default '',
    arbitrated_by text not null default '');
create index quality_error_of on quality_error (evaluation);
create index quality_error_by_segment on quality_error (track, version, key);
-- Changes of which somebody said that they correct no error.
create table preference (
    evaluation integer not null references evaluation(id),
    track integer not null references track(id),
    version integer not null,
    key text not null,
    who text not null,
    at text not null,
    primary key (evaluation, track, version, key)) without rowid
