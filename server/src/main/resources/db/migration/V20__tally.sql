-- A mark's credit as two whole numbers.
alter table mark add column numerator numeric;
alter table mark add column denominator numeric;
update mark m set numerator = c.n / gcd(c.n, c.d), denominator = c.d / gcd(c.n, c.d)
from (
  select school_id, attempt_id, item, seq,
         case when credit like '%/%' then split_part(credit, '/', 1)::numeric
              else replace(credit, '.', '')::numeric end as n,
         case when credit like '%/%' then split_part(credit, '/', 2)::numeric
              else round(power(10::numeric, length(split_part(credit, '.', 2)))) end as d
  from mark) c
where m.school_id = c.school_id and m.attempt_id = c.attempt_id and m.item = c.item and m.seq = c.seq;
alter table mark alter column numerator set not null;
alter table mark alter column denominator set not null;
alter table mark drop column credit;

-- What the current marks of an attempt come to, kept with its standing: packed for whoever adds up or counts all of an
-- assessment, and counted for the line. A projection of the ledger, as the standing is; where it is null it is made again.
alter table standing add column tally bytea;
alter table standing add column place bigint not null default 0;
alter table standing add column doubts int not null default 0;
alter table standing add column unread int not null default 0;
alter table standing add column open_answers int not null default 0;
alter table standing add column doubts_since timestamptz;
alter table standing add column unread_since timestamptz;
update standing s set place = c.place, doubts = c.doubts, unread = c.unread, open_answers = c.open_answers,
  doubts_since = c.doubts_since, unread_since = c.unread_since
from (
  select x.school_id, x.id, max(m.seq) as place,
         count(*) filter (where m.state = 'SETTLE' and m.item = any (l.live)) as doubts,
         count(*) filter (where m.state = 'READ' and m.item = any (l.live)) as unread,
         count(*) filter (where (m.reading is not null or m.state = 'READ') and m.item = any (l.live)) as open_answers,
         min(m.at) filter (where m.state = 'SETTLE' and m.item = any (l.live)) as doubts_since,
         min(m.at) filter (where m.state = 'READ' and m.item = any (l.live)) as unread_since
  from attempt x
  join (select distinct on (assessment_id) assessment_id, live from edition order by assessment_id, number desc) l
    on l.assessment_id = x.assessment_id
  cross join lateral (
    select distinct on (item) item, seq, state, reading, at from mark where attempt_id = x.id order by item, seq desc) m
  group by x.school_id, x.id) c
where c.school_id = s.school_id and c.id = s.attempt_id;
create index standing_untallied on standing (attempt_id) where tally is null;

-- What a result was made of, and whether it has changed since, as it was compared last: so that a list of very many need
-- not make every page again.
alter table result add column made_of text;
alter table result add column compared_to text;
alter table result add column changed boolean not null default false;

-- When the time of an attempt on screen is over, so that closing time looks only at what is due.
alter table attempt add column due_at timestamptz;
update attempt x set due_at = least(s.closes_at, x.started_at + make_interval(mins => s.minutes))
from sitting s where s.id = x.sitting_id and x.way = 'SCREEN' and x.handed_in_at is null;
create index attempt_due on attempt (due_at) where handed_in_at is null and due_at is not null;

-- A teacher's last readings, for their pace.
create index mark_readings on mark (person_id, at desc) where reading is not null;

-- What a request with a key said, so that the same key with something else is not answered with what the first did.
alter table idempotent_request add column said text not null default '';
create index idempotent_request_at on idempotent_request (at);
