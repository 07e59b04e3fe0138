-- The calculator that the page of a sitting has; none where it is null.
alter table sitting add calculator text check (calculator in ('PLAIN', 'SCIENTIFIC'));
alter table kept_settings add calculator text check (calculator in ('PLAIN', 'SCIENTIFIC'));
