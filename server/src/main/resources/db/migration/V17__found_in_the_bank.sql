-- Accents do not hide words from a search, and slips are forgiven in answers as well as in prompts.
alter table bank_item add column said text not null default '';
update bank_item set
  alike = regexp_replace(normalize(alike, NFD), '[\u0300-\u036f]', '', 'g'),
  said = regexp_replace(normalize(array_to_string(tsvector_to_array(words), ' '), NFD), '[\u0300-\u036f]', '', 'g'),
  words = to_tsvector('simple', regexp_replace(
    normalize(array_to_string(tsvector_to_array(words), ' '), NFD), '[\u0300-\u036f]', '', 'g'));
create index bank_item_said on bank_item using gin (said gin_trgm_ops);
