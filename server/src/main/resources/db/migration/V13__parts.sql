-- how parts of the shell are kept in order that are not kept plainly
create table kept_part (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  name varchar(200),
  layer varchar(64) not null,
  group_id varchar(64),
  locked boolean not null,
  hidden boolean not null,
  remark varchar(2000),
  twin varchar(64),
  twin_part varchar(64),
  twin_first boolean,
  primary key (space_id, id)
);
