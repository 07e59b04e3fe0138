-- What only the server knows: names for things that must not be recognised are made from it.
create table secret (
  name text primary key,
  bytes bytea not null
);
insert into secret (name, bytes) values ('names',
  sha256(convert_to(gen_random_uuid()::text || gen_random_uuid()::text || gen_random_uuid()::text, 'UTF8')));
