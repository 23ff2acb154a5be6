create table project (
  id uuid primary key,
  title varchar(80) not null,
  head integer not null,
  newest integer not null,
  version bigint not null,
  created_at timestamp with time zone not null,
  changed_at timestamp with time zone not null
);

-- A revision beside the line is an edit that came too late: kept, but nobody stands on it.
create table revision (
  project_id uuid not null references project (id) on delete cascade,
  number integer not null,
  parent integer,
  beside boolean not null,
  summary varchar(200) not null,
  created_at timestamp with time zone not null,
  format integer not null,
  gadget jsonb not null,
  primary key (project_id, number)
);

create index revision_parent on revision (project_id, parent);

-- The pixels of a frame, once for all gadgets and revisions that use them.
create table picture (
  hash varchar(64) primary key,
  width integer not null,
  height integer not null,
  rgb bytea not null
);

-- An image file between its upload and the maker's word that its frames are to be kept.
create table upload (
  id uuid primary key,
  project_id uuid not null references project (id) on delete cascade,
  name varchar(120) not null,
  created_at timestamp with time zone not null,
  bytes bytea not null
);
