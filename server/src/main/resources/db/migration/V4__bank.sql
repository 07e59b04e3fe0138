create extension if not exists pg_trgm;

-- Items of the bank. The definition has the form of the assessment file; beside it stands what is searched.
create table bank_folder (
  id uuid primary key,
  school_id uuid not null references school,
  owner_id uuid not null references person,
  name text not null,
  unique (owner_id, name)
);
create table bank_item (
  id uuid primary key,
  school_id uuid not null references school,
  owner_id uuid not null references person,
  folder_id uuid references bank_folder on delete set null,
  version integer not null,
  definition jsonb not null,
  kind text not null,
  prompt text not null,
  -- The prompt without capitals, signs and runs of spaces: equal prompts are equal here.
  alike text not null,
  tags text[] not null,
  codes text[] not null,
  difficulty numeric,
  uses integer not null default 0,
  made_at timestamptz not null,
  changed_at timestamptz not null,
  words tsvector not null
);
create index bank_item_owner on bank_item (owner_id, changed_at desc);
create index bank_item_folder on bank_item (folder_id);
create index bank_item_words on bank_item using gin (words);
create index bank_item_prompt on bank_item using gin (alike gin_trgm_ops);
create index bank_item_alike on bank_item (owner_id, md5(alike));
create table bank_version (
  item_id uuid not null references bank_item on delete cascade,
  version integer not null,
  definition jsonb not null,
  by_id uuid not null references person,
  at timestamptz not null,
  primary key (item_id, version)
);
-- Which item of which assessment is which item of the bank.
create table bank_use (
  item_id uuid not null references bank_item on delete cascade,
  version integer not null,
  assessment_id uuid not null references assessment,
  item text not null,
  at timestamptz not null,
  primary key (assessment_id, item)
);
create index bank_use_item on bank_use (item_id);

-- What a colleague may use or edit: an item or folder of the bank, or an assessment's key.
create table share (
  object_id uuid not null,
  person_id uuid not null references person,
  kind text not null check (kind in ('ITEM', 'FOLDER', 'ASSESSMENT')),
  may_edit boolean not null,
  by_id uuid not null references person,
  at timestamptz not null,
  primary key (object_id, person_id)
);
create index share_person on share (person_id, kind);

-- The items that this attempt was not drawn.
alter table attempt add column left_out text[] not null default '{}';

-- Which standards of an older framework became which of a newer one.
create table crosswalk (
  older_id uuid not null references framework,
  newer_id uuid not null references framework,
  links jsonb not null,
  by_id uuid not null references person,
  at timestamptz not null,
  primary key (older_id, newer_id)
);
alter table framework add column revision integer not null default 0;
