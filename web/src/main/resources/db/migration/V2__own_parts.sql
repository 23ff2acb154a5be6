-- Classes of parts that the maker keeps for all gadgets; a gadget that uses one has its own copy.
create table own_part (
  id varchar(40) primary key,
  changed_at timestamp with time zone not null,
  data jsonb not null
);
