-- Answers of which the readers of an open question have agreed what they are worth: held beside others, and practised on.
create table agreed_example (
    id uuid primary key,
    assessment_id uuid not null references assessment on delete cascade,
    item text not null,
    attempt_id uuid not null references attempt (id) on delete cascade,
    levels jsonb not null,
    why text not null,
    at timestamptz not null,
    unique (assessment_id, item, attempt_id)
);
create index agreed_example_attempt on agreed_example (attempt_id);
