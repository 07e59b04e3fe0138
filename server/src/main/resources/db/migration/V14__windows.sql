-- In which window an answer was written: two windows of one student do not overwrite each other unseen.
alter table draft_answer add column made_in text;
