-- A picture on the page before the questions, and what is on it in words.
alter table sitting add picture text;
alter table sitting add picture_words text;
alter table kept_settings add picture text;
alter table kept_settings add picture_words text;
create index sitting_picture on sitting (picture) where picture is not null;

-- A file that several put in is each one's own, whoever was first.
alter table file_use drop constraint file_use_kind_check;
alter table file_use add constraint file_use_kind_check check (kind in ('KEY', 'EDITION', 'ITEM', 'PERSON'));
