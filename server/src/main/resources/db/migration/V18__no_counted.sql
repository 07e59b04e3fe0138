-- What each item adds to a score is computed where it is shown; nothing reads what was kept of it.
alter table standing drop column counted;
