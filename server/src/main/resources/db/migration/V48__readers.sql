-- What a reader says of a whole paper: appended, never changed; the last one of each reader counts.
create table paper_comment (
    id uuid primary key,
    assessment_id uuid not null references assessment on delete cascade,
    attempt_id uuid not null references attempt (id) on delete cascade,
    person_id uuid not null references person,
    text text not null,
    at timestamptz not null
);
create index paper_comment_attempt on paper_comment (attempt_id, person_id, at);
create index paper_comment_assessment on paper_comment (assessment_id);
create index paper_comment_person on paper_comment (person_id);

-- Which answers of an assessment a reader of its course reads; without a row, all of them.
create table reader_scope (
    assessment_id uuid not null references assessment on delete cascade,
    person_id uuid not null references person,
    items text[] not null,
    sections uuid[] not null,
    part int not null,
    parts int not null check (parts between 1 and 20),
    primary key (assessment_id, person_id),
    check (part between 1 and parts)
);
create index reader_scope_person on reader_scope (person_id);
