-- Who is signed in: the browser has the word, the database only its SHA-256.
create table sign_in (
  token bytea primary key,
  person_id uuid not null references person on delete cascade,
  made_at timestamptz not null,
  seen_at timestamptz not null
);
create index sign_in_person on sign_in (person_id);
drop table spring_session_attributes;
drop table spring_session;

-- Failed tries to sign in, by name and address together: each wrong one makes the next wait.
create table sign_in_try (
  name text not null,
  address text not null,
  fails integer not null,
  until timestamptz not null,
  primary key (name, address)
);
drop table sign_in_failure;

-- What an administrator sets, and whether a school is the made-up one of the demo.
alter table school add column idle_minutes integer not null default 240;
alter table school add column session_hours integer not null default 12;
alter table school add column made_up boolean not null default false;

-- Nobody signs in as somebody who has no password.
alter table person alter column password drop not null;
update person set password = null where password like '{noop}%';
