-- How a sitting is taken, what is different for some in it, and what its teacher does while it runs.
alter table sitting add asking text not null default 'ONE' check (asking in ('ONE', 'PART', 'ALL'));
alter table sitting add going_back boolean not null default true;
alter table sitting add must_answer boolean not null default false;
alter table sitting add leaving_counted boolean not null default false;
alter table sitting add words_before text not null default '';
alter table sitting add words_after text not null default '';
alter table sitting add code text not null default '';
alter table sitting add late_until timestamptz;
-- When the time of the last student is over, with everything that is different for some.
alter table sitting add ends_at timestamptz;
update sitting set ends_at = closes_at;
alter table sitting alter ends_at set not null;

-- What is different for one student: more of the time, minutes more, other dates. Only teachers see it.
create table sitting_different (
  sitting_id uuid not null references sitting on delete cascade,
  student_id uuid not null references person,
  school_id uuid not null references school,
  percent integer not null,
  more integer not null,
  opens_at timestamptz,
  closes_at timestamptz,
  note text not null,
  made_by uuid not null references person,
  made_at timestamptz not null,
  primary key (sitting_id, student_id)
);
create index sitting_different_student on sitting_different (student_id);

-- An attempt that was set aside stays with all that it says, and counts nowhere. One that was opened again follows it.
alter table attempt add set_aside_at timestamptz;
alter table attempt add set_aside_by uuid references person;
alter table attempt add follows uuid references attempt (id);
alter table attempt add own_order uuid;
alter table attempt add more_until timestamptz;
alter table attempt add paused_at timestamptz;
alter table attempt add paused_seconds integer not null default 0;
alter table attempt add reached integer not null default 0;
alter table attempt add left_page integer not null default 0;
create index attempt_follows on attempt (follows) where follows is not null;

-- A line that a teacher says to one student or to all while they work.
create table sitting_line (
  id uuid primary key,
  school_id uuid not null references school,
  sitting_id uuid not null references sitting on delete cascade,
  student_id uuid references person,
  words text not null,
  said_by uuid not null references person,
  said_at timestamptz not null,
  taken_back_at timestamptz
);
create index sitting_line_sitting on sitting_line (sitting_id, said_at);
