-- Pictures, recordings and papers, each kept once in a school.
create table file (
  school_id uuid not null references school,
  id text not null,
  type text not null,
  name text not null,
  size integer not null,
  bytes bytea not null,
  made_by uuid not null references person,
  made_at timestamptz not null,
  primary key (school_id, id)
);

-- Who changed a draft last, so that a colleague who comes second sees whose change it was.
alter table assessment add column changed_by uuid references person;

-- What an item was, from change to change; quick changes by one person are one.
create table item_history (
  id uuid primary key,
  assessment_id uuid not null references assessment,
  item text not null,
  definition jsonb,
  by_id uuid not null references person,
  at timestamptz not null
);
create index item_history_item on item_history (assessment_id, item, at desc);

-- A course can work with several frameworks.
create table course_framework (
  course_id uuid not null references course,
  framework_id uuid not null references framework,
  place integer not null,
  primary key (course_id, framework_id)
);
insert into course_framework (course_id, framework_id, place)
  select id, framework_id, 0 from course where framework_id is not null;
