-- What a reader says again and again to students.
create table kept_comment (
    id uuid primary key,
    owner_id uuid not null references person on delete cascade,
    text text not null,
    uses int not null default 0,
    changed_at timestamptz not null,
    deleted_at timestamptz
);
create index kept_comment_owner on kept_comment (owner_id);
