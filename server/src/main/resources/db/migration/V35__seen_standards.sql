-- Whether students see what they showed of each standard, and from when on. What was given out before stays as it was.
alter table sitting add see_standards text not null default 'NEVER';
alter table sitting add constraint sitting_see_standards check (
  see_standards in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER'));
alter table kept_settings add see_standards text not null default 'NEVER';
