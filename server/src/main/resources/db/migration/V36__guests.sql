-- Who beside those of the roster comes to a sitting by its short link, and what they are asked before.
alter table sitting add guests text not null default 'NOBODY';
alter table sitting add constraint sitting_guests check (guests in ('NOBODY', 'ADDRESSES', 'ANYBODY'));
alter table sitting add guest_form jsonb not null default '{"groupAsked": "NO", "email": "NO", "own": []}';

-- The sitting to which alone somebody came as a guest; they are on no roster.
alter table person add guest_of uuid;
create index person_guest_of on person (guest_of) where guest_of is not null;

-- What a guest said of themselves.
create table guest (
  person_id uuid primary key references person on delete cascade,
  school_id uuid not null references school,
  sitting_id uuid not null references sitting on delete cascade,
  once uuid not null,
  class_name text not null,
  email text not null,
  own jsonb not null,
  at timestamptz not null,
  unique (sitting_id, once)
);
create index guest_sitting_at on guest (sitting_id, at);

-- Guests have their sitting before them as those of the section do.
create or replace view expected as
  select s.id as sitting_id, s.assessment_id, s.section_id, e.student_id
  from sitting s join enrolment e on e.section_id = s.section_id
  where not s.chosen
    or exists (select 1 from sitting_student c where c.sitting_id = s.id and c.student_id = e.student_id)
    or exists (select 1 from attempt a
      where a.sitting_id = s.id and a.student_id = e.student_id and a.set_aside_at is null)
  union all
  select s.id, s.assessment_id, s.section_id, p.id
  from person p join sitting s on s.id = p.guest_of;

-- The school's own addresses for letters, and the pages that may show a sitting within them.
alter table school add mail_domains text not null default '';
alter table school add framed_by text not null default '';
