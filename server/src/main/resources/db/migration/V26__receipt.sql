-- What a student is given as a proof of what was handed in and when; null for what came in otherwise than on screen.
alter table attempt add receipt text;
create unique index attempt_receipt on attempt (receipt) where receipt is not null;
