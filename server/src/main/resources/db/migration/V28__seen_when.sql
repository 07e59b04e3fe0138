-- What students see of a sitting, and from when on.
alter table sitting add see_score text not null default 'HANDED_BACK';
alter table sitting add see_marks text not null default 'HANDED_BACK';
alter table sitting add see_answers text not null default 'HANDED_BACK';
alter table sitting add see_notes text not null default 'HANDED_BACK';
alter table sitting add see_keys text not null default 'NEVER';
alter table sitting add see_from timestamptz;
alter table sitting add constraint sitting_see check (
  see_score in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER')
  and see_marks in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER')
  and see_answers in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER')
  and see_notes in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER')
  and see_keys in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER'));
