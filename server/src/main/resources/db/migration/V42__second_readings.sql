-- Which open questions are read by two people, and what counts of their readings. The readings stand in the ledger.
create table second_reading (
    assessment_id uuid not null references assessment on delete cascade,
    item text not null,
    share int not null check (share between 1 and 100),
    way text not null check (way in ('FIRST', 'MEAN', 'HIGHER', 'THIRD')),
    apart text,
    primary key (assessment_id, item)
);
