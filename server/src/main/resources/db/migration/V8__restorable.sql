-- What is removed can be restored.
alter table bank_item add column deleted_at timestamptz;
alter table bank_folder add column deleted_at timestamptz;
alter table rubric add column deleted_at timestamptz;
alter table framework add column deleted_at timestamptz;
alter table bank_folder drop constraint bank_folder_owner_id_name_key;
create unique index bank_folder_name on bank_folder (owner_id, name) where deleted_at is null;

-- Where an item of the bank was copied from, so that it is copied once.
alter table bank_item add column from_assessment uuid references assessment;
alter table bank_item add column from_item text;
create unique index bank_item_from on bank_item (owner_id, from_assessment, from_item)
  where from_assessment is not null and deleted_at is null;
