-- How the items of the bank did where they were used, as of the last handing back; found without a look at every mark.
alter table bank_use
  add column students int not null default 0,
  add column mean_score numeric,
  add column outdated boolean not null default true;
create index bank_use_outdated on bank_use (assessment_id) where outdated;
