-- A sitting for a whole section, or for chosen students of it.
alter table sitting add chosen boolean not null default false;
create table sitting_student (
  sitting_id uuid not null references sitting on delete cascade,
  student_id uuid not null references person,
  school_id uuid not null references school,
  primary key (sitting_id, student_id)
);
create index sitting_student_student on sitting_student (student_id);
-- Who has a sitting before them; whoever has an attempt in it stays, whatever is chosen.
create view expected as
  select s.id as sitting_id, s.assessment_id, s.section_id, e.student_id
  from sitting s join enrolment e on e.section_id = s.section_id
  where not s.chosen
    or exists (select 1 from sitting_student c where c.sitting_id = s.id and c.student_id = e.student_id)
    or exists (select 1 from attempt a
      where a.sitting_id = s.id and a.student_id = e.student_id and a.set_aside_at is null);
