-- Rubrics that are kept for many papers, each with every version it had. The definition has the form of the assessment file.
create table rubric (
  id uuid primary key,
  school_id uuid not null references school,
  owner_id uuid not null references person,
  title text not null,
  version integer not null,
  definition jsonb not null,
  changed_at timestamptz not null
);
create index rubric_owner on rubric (owner_id, changed_at desc);
create table rubric_version (
  rubric_id uuid not null references rubric on delete cascade,
  version integer not null,
  title text not null,
  definition jsonb not null,
  by_id uuid not null references person,
  at timestamptz not null,
  primary key (rubric_id, version)
);
alter table share drop constraint share_kind_check;
alter table share add constraint share_kind_check check (kind in ('ITEM', 'FOLDER', 'ASSESSMENT', 'RUBRIC'));
