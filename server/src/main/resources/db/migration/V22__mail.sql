-- Letters to people, written when they are sent: so a word that lets somebody in is never kept.
create table mail (
  school_id uuid not null references school,
  id uuid not null,
  person_id uuid not null references person on delete cascade,
  kind text not null,
  made_by uuid references person on delete set null,
  made_at timestamptz not null,
  state text not null check (state in ('WAITING', 'SENT', 'FAILED', 'DROPPED')),
  changed_at timestamptz not null,
  tries integer not null default 0,
  why text not null default '',
  primary key (school_id, id)
);
create index mail_person on mail (person_id, kind, made_at);
create unique index mail_waiting on mail (person_id, kind) where state = 'WAITING';
