-- how the pieces of a space are kept in order
create table layer (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  place int not null,
  name varchar(200) not null,
  colour varchar(7),
  hidden boolean not null,
  locked boolean not null,
  primary key (space_id, id)
);

create table piece_group (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  name varchar(200) not null,
  in_id varchar(64),
  primary key (space_id, id)
);

-- its id is its name
create table named_selection (
  space_id varchar(64) not null references space (id),
  id varchar(200) not null,
  pieces varchar(1000000) not null,
  primary key (space_id, id)
);

alter table piece add column remark varchar(1000);

-- what was done in words, where, and by whom
alter table step add column done_in varchar(64);
alter table step add column who varchar(120);
alter table step add column words varchar(2000);
