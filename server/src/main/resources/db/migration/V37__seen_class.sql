-- Whether students see how their class did, and from when on. What was given out before stays without.
alter table sitting add see_class text not null default 'NEVER';
alter table sitting add constraint sitting_see_class check (
  see_class in ('AT_HAND_IN', 'ALL_CLOSED', 'FROM_DATE', 'HANDED_BACK', 'NEVER'));
alter table kept_settings add see_class text not null default 'NEVER';
