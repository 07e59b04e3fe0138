-- Of a student in a sitting one attempt is open or in; whatever was before it is set aside.
create unique index attempt_one on attempt (sitting_id, student_id) where set_aside_at is null;
