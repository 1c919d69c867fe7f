-- finished pictures, asked for or made; their dots are files beside the store
create table still (
  id varchar(64) primary key,
  space_id varchar(64) not null references space (id),
  name varchar(200) not null,
  told varchar(20000) not null,
  revision bigint not null,
  state varchar(12) not null,
  seconds double precision not null,
  noise double precision,
  failed varchar(1000),
  made_at timestamp with time zone not null
);
create index still_space on still (space_id);
