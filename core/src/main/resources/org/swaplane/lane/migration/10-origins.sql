alter table change add column origin_before text not null default '';
alter table change add column origin_after text not null default '';
update change set origin_after = (
    select case kind
        when 'TYPED' then 'typed' when 'TAKEN' then 'returned' when 'FIXED' then 'fixed' when 'COPIED' then 'source'
        when 'PROPAGATED' then 'repeated' when 'PROPOSED' then 'proposed' when 'FILLED' then 'memory'
        when 'NEW_VERSION' then 'earlier_version' else 'typed' end || char(9) || '-1' || char(9)
    from step where step.id = change.step)
where target_before <> target_after;
-- A change of state leaves the origin as the change before it made it.
update change set origin_after = filled.origin
from (
    select id, first_value(origin) over (partition by track, key, part order by id) origin from (
        select change.rowid id, track, key, origin_after origin,
            sum(origin_after <> '') over (partition by track, key order by change.rowid) part
        from change join step on step.id = change.step where undone = 0)) filled
where change.rowid = filled.id and change.origin_after = '' and filled.origin <> '';
