-- What is pointed out to those who read the answers to an open question. Without a row all of it is, and no words are looked for.
create table hint_plan (
    assessment_id uuid not null references assessment on delete cascade,
    item text not null,
    words jsonb not null,
    language boolean not null,
    likeness boolean not null,
    sentences boolean not null,
    primary key (assessment_id, item)
);
