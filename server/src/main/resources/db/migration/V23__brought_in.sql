-- Files of answers that were brought in, so that each can be taken back as a whole.
create table brought_in (
  id uuid primary key,
  school_id uuid not null references school,
  assessment_id uuid not null references assessment on delete cascade,
  file text not null,
  made_by uuid not null references person,
  made_at timestamptz not null,
  taken_back_by uuid references person,
  taken_back_at timestamptz
);
create index brought_in_assessment on brought_in (assessment_id);
alter table attempt add column brought_in uuid references brought_in;
create index attempt_brought_in on attempt (brought_in) where brought_in is not null;
-- The file for which a sitting was made: it goes with it.
alter table sitting add column brought_in uuid references brought_in;
