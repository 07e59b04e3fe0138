-- What people type from paper, a row a student and typist: two who type the same pile are compared cell by cell.
create table typed_row (
  assessment_id uuid not null references assessment on delete cascade,
  student_id uuid not null references person,
  typist_id uuid not null references person,
  school_id uuid not null references school,
  cells jsonb not null,
  -- What others had typed when a typist said that their own cell stays.
  stays jsonb not null,
  saved_at timestamptz not null,
  primary key (assessment_id, student_id, typist_id)
);
create index typed_row_student on typed_row (student_id);
create index typed_row_typist on typed_row (typist_id);
