-- A kept comment with a letter is a short mark, set by that key beside words of an answer.
alter table kept_comment add letter text check (letter ~ '^[a-z]$');
create unique index kept_comment_letter on kept_comment (owner_id, letter) where deleted_at is null;
