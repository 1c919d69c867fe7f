create table project (
  id varchar(64) primary key,
  name varchar(200) not null,
  made_at timestamp with time zone not null
);

create table space (
  id varchar(64) primary key,
  project_id varchar(64) not null references project (id),
  name varchar(200) not null,
  shell clob not null,
  revision bigint not null,
  made_at timestamp with time zone not null
);

create table piece (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  place bigint not null,
  article varchar(200) not null,
  name varchar(200) not null,
  width double precision not null,
  depth double precision not null,
  height double precision not null,
  x double precision not null,
  y double precision not null,
  z double precision not null,
  turn double precision not null,
  on_kind varchar(20) not null,
  on_id varchar(64),
  finishes clob not null,
  primary key (space_id, id)
);

-- What was done, for undo and redo. State: DONE, UNDONE, or DROPPED when something else was done instead.
create table change (
  space_id varchar(64) not null references space (id),
  revision bigint not null,
  state varchar(10) not null,
  pieces clob not null,
  made_at timestamp with time zone not null,
  primary key (space_id, revision)
);

-- Requests that were carried out, with the answer given, so that sending one twice does it once.
create table request (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  answer clob not null,
  primary key (space_id, id)
);
