-- Whether a student who has handed in may see the questions again.
alter table sitting add column paper_after text not null default 'WHEN_ALL_CLOSED'
  check (paper_after in ('WHEN_ALL_CLOSED', 'AT_ONCE', 'NEVER'));

-- Which key, edition or item of the bank has which picture, recording or paper: whoever may see it sees them.
create table file_use (
  school_id uuid not null,
  file_id text not null,
  object_id uuid not null,
  kind text not null check (kind in ('KEY', 'EDITION', 'ITEM')),
  primary key (school_id, file_id, object_id),
  foreign key (school_id, file_id) references file
);
create index file_use_object on file_use (object_id);
insert into file_use (school_id, file_id, object_id, kind)
  select distinct f.school_id, f.id, a.id, 'KEY' from assessment a
  cross join lateral regexp_matches(a.draft::text, '[0-9a-f]{64}', 'g') m
  join file f on f.school_id = a.school_id and f.id = m[1];
insert into file_use (school_id, file_id, object_id, kind)
  select distinct f.school_id, f.id, e.id, 'EDITION' from edition e join assessment a on a.id = e.assessment_id
  cross join lateral regexp_matches(e.definition::text, '[0-9a-f]{64}', 'g') m
  join file f on f.school_id = a.school_id and f.id = m[1];
insert into file_use (school_id, file_id, object_id, kind)
  select distinct f.school_id, f.id, i.id, 'ITEM' from bank_item i
  cross join lateral regexp_matches(i.definition::text, '[0-9a-f]{64}', 'g') m
  join file f on f.school_id = i.school_id and f.id = m[1];
