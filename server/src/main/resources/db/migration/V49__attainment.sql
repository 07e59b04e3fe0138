-- How attainment of a framework's standards is decided; without a row, by all evidence pooled and three plain levels.
create table attainment_rule (
    framework_id uuid primary key references framework on delete cascade,
    rule jsonb not null,
    revision int not null
);
