-- Students of a course under a name, across its sections: for a sitting, more time, a message.
create table student_group (
  id uuid primary key,
  school_id uuid not null references school,
  course_id uuid not null references course on delete cascade,
  name text not null,
  revision int not null default 0
);
create unique index student_group_name on student_group (course_id, lower(name));
create table student_group_member (
  group_id uuid not null references student_group on delete cascade,
  student_id uuid not null references person,
  primary key (group_id, student_id)
);
create index student_group_member_student on student_group_member (student_id);
