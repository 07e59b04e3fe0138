-- A short word that leads to a sitting: in a link that is typed, on a slip, in a square code on the wall.
alter table sitting add way text;
update sitting set way = upper(translate(substr(md5(id::text), 1, 8), '0123456789abcdef', 'acdefghjkmnprtwx'));
alter table sitting alter way set not null;
create unique index sitting_way on sitting (way);

-- Codes on slips: each lets one student into one sitting, and into nothing else. Only a SHA-256 is kept.
create table sitting_slip (
  sitting_id uuid not null references sitting on delete cascade,
  student_id uuid not null references person,
  school_id uuid not null references school,
  code bytea not null,
  made_by uuid not null references person,
  made_at timestamptz not null,
  primary key (sitting_id, student_id)
);
create index sitting_slip_student on sitting_slip (student_id);
-- Who came in by a slip is signed in to that sitting only.
alter table sign_in add sitting_id uuid references sitting on delete cascade;
