-- What a student wrote in time and what came in when the time was over or the attempt was handed in. Responses never
-- change; a late answer stands in the place of one while it counts.
create table late_answer (
  school_id uuid not null,
  attempt_id uuid not null references attempt (id),
  id uuid not null,
  item text not null,
  answer jsonb not null,
  written_at timestamptz not null,
  came_at timestamptz not null,
  decision text not null default 'WAITS' check (decision in ('WAITS', 'COUNTS', 'LEFT')),
  decided_by uuid references person (id),
  decided_at timestamptz,
  -- the place in the ledger of the mark that stood before it counted
  mark_before bigint,
  primary key (school_id, attempt_id, id),
  unique (id)
);
create unique index late_answer_counts on late_answer (school_id, attempt_id, item) where decision = 'COUNTS';
create index late_answer_waits on late_answer (attempt_id) where decision = 'WAITS';
