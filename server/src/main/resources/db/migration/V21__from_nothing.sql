-- A school that begins from nothing: how it looks, what it allows, and its people's ways in.
alter table school add column language text not null default 'en';
alter table school add column sign text not null default '';
alter table school add column accent text not null default '';
alter table school add column teachers_make_courses boolean not null default true;
alter table school add column teachers_share boolean not null default true;

alter table person add column disabled_at timestamptz;
alter table person add column revision integer not null default 0;
alter table person add column made_at timestamptz not null default now();

-- A word that lets somebody in once: in a link, or as a code on a slip. Only its SHA-256 is kept.
create table way_in (
  word bytea primary key,
  kind text not null check (kind in ('BEGIN', 'LINK', 'CODE')),
  person_id uuid references person on delete cascade,
  made_by uuid references person on delete set null,
  made_at timestamptz not null,
  until timestamptz not null
);
create index way_in_person on way_in (person_id);

-- Who did what, for the school's administrator.
create table deed (
  school_id uuid not null references school,
  id uuid not null,
  at timestamptz not null,
  by uuid,
  what text not null,
  about uuid,
  facts text not null,
  primary key (school_id, id)
);
create index deed_about on deed (school_id, about);

-- Courses: their term, and the topics by which their assessments are grouped.
alter table course add column term text not null default '';
alter table course add column archived_at timestamptz;
alter table course add column revision integer not null default 0;
create table unit (
  id uuid primary key,
  course_id uuid not null references course,
  title text not null,
  place integer not null,
  unique (course_id, title)
);
alter table assessment add column unit_id uuid references unit on delete set null;
