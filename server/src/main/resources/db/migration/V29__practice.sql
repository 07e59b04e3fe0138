-- Practice: a student looks at an answer at once.
alter table sitting add practice text not null default 'NONE' check (practice in ('NONE', 'ONCE', 'AGAIN', 'UNTIL_RIGHT'));
create table practice_look (
  attempt_id uuid not null references attempt (id) on delete cascade,
  item text not null,
  school_id uuid not null references school,
  tries integer not null,
  passed boolean not null,
  at timestamptz not null,
  primary key (attempt_id, item)
);
