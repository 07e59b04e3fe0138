-- How often it may be taken; whether answers may be changed after handing in; whether full screen is asked for.
alter table sitting add attempts integer not null default 1 check (attempts between 1 and 20);
alter table sitting add changes boolean not null default false;
alter table sitting add full_screen boolean not null default false;
alter table kept_settings add attempts integer not null default 1 check (attempts between 1 and 20);
alter table kept_settings add changes boolean not null default false;
alter table kept_settings add full_screen boolean not null default false;
-- Other attempts for some.
alter table sitting_different add attempts integer not null default 0 check (attempts between 0 and 20);
-- Of a student in a sitting one attempt is worked on; others are in, or set aside.
drop index attempt_one;
create unique index attempt_one on attempt (sitting_id, student_id) where set_aside_at is null and handed_in_at is null;
