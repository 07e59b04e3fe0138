-- Ways of taking a sitting that a teacher has given a name: never dates, never a code.
create table kept_settings (
  id uuid primary key,
  school_id uuid not null references school,
  owner_id uuid not null references person,
  name text not null,
  minutes integer,
  asking text not null check (asking in ('ONE', 'PART', 'ALL')),
  going_back boolean not null,
  must_answer boolean not null,
  leaving_counted boolean not null,
  words_before text not null,
  words_after text not null,
  code text not null check (code = ''),
  practice text not null check (practice in ('NONE', 'ONCE', 'AGAIN', 'UNTIL_RIGHT')),
  see_score text not null,
  see_marks text not null,
  see_answers text not null,
  see_notes text not null,
  see_keys text not null,
  see_from timestamptz check (see_from is null)
);
create unique index kept_settings_name on kept_settings (owner_id, lower(name));
