-- Pictures and PDFs that belong to an answer are seen by whoever reads it.
alter table file_use drop constraint file_use_kind_check;
alter table file_use add constraint file_use_kind_check check (kind in ('KEY', 'EDITION', 'ITEM', 'PERSON', 'ANSWER'));

-- What a reader draws and notes on them: appended, taken back, never changed.
create table drawn_mark (
    id uuid primary key,
    assessment_id uuid not null references assessment on delete cascade,
    attempt_id uuid not null references attempt (id) on delete cascade,
    item text not null,
    file text not null,
    page int not null check (page > 0),
    kind text not null check (kind in ('PEN', 'HIGHLIGHTER', 'NOTE')),
    points jsonb not null,
    words text not null,
    person_id uuid not null references person,
    at timestamptz not null,
    removed_at timestamptz
);
create index drawn_mark_attempt on drawn_mark (attempt_id, item);
create index drawn_mark_assessment on drawn_mark (assessment_id);
create index drawn_mark_person on drawn_mark (person_id);
