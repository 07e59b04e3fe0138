-- By what an assessment is found beside its title. No part of the key, so that no edit of a key notices.
create table assessment_about (
  assessment_id uuid primary key references assessment on delete cascade,
  school_id uuid not null references school,
  description text not null,
  code text not null,
  labels jsonb not null,
  revision int not null
);
create unique index assessment_code on assessment_about (school_id, lower(code)) where code <> '';
create index assessment_about_school on assessment_about (school_id);

-- Who reads open answers of a course, and sees nothing else of it.
create table course_reader (
  course_id uuid not null references course on delete cascade,
  person_id uuid not null references person,
  primary key (course_id, person_id)
);
create index course_reader_person on course_reader (person_id);
