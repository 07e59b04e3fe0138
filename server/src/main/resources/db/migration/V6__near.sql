-- The own item whose prompt was most like this one's when this one was last written, so that a whole bank's near
-- duplicates are listed without comparing everything with everything.
alter table bank_item add column near_id uuid references bank_item on delete set null;
create index bank_item_near on bank_item (near_id) where near_id is not null;
