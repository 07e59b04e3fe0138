-- A standing that waits for what looks at the whole sitting; it is computed once, afterwards.
alter table standing add column awaits_curve boolean not null default false;
create index standing_awaits on standing (attempt_id) where awaits_curve;

-- What went wrong when an attempt was taken in at the end of its time, and when it was last tried.
alter table attempt add column trouble text;
alter table attempt add column trouble_at timestamptz;
create index attempt_open on attempt (sitting_id) where handed_in_at is null;
create index attempt_section on attempt (assessment_id, section_id);
