-- Which items of an edition can wait for somebody: not those that are dropped, or credited whatever the answer.
alter table edition add column live text[];
update edition set live = array(
  select i ->> 'id' from jsonb_array_elements(definition -> 'items') i
  where i ->> 'kind' <> 'passage' and not exists (
    select 1 from jsonb_array_elements(coalesce(definition -> 'adjustments', '[]'::jsonb)) a
    where a ->> 'item' = i ->> 'id' and a ->> 'do' <> 'bonus'));
alter table edition alter column live set not null;

-- Of several attempts of one student, whether this one counts.
alter table standing add column counts boolean not null default true;

-- How late an attempt came in, in days, exact.
alter table attempt add column days_late text not null default '0';
