-- A mark that was written by taking another back: which one it restores, and who took back.
alter table mark add column restores bigint;
alter table mark add column acted_by uuid references person;
