-- Long work: it is begun in a request and goes on in the background, on whichever node.
create table job (
  id uuid primary key,
  school_id uuid not null references school,
  person_id uuid not null references person,
  kind text not null,
  object_id uuid not null,
  input jsonb not null,
  done integer not null,
  total integer not null,
  state text not null check (state in ('RUNNING', 'DONE', 'STOPPED')),
  said text,
  made_at timestamptz not null,
  changed_at timestamptz not null
);
create index job_person on job (person_id, changed_at desc);
create index job_object on job (object_id, made_at desc);
