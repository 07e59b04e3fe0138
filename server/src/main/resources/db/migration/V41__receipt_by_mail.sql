-- Whether who hands in is mailed the receipt with their answers.
alter table sitting add receipt_by_mail boolean;
alter table kept_settings add receipt_by_mail boolean;
