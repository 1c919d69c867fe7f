-- how a space is shown: its day, its looks, and viewpoints that are kept
create table shown (
  space_id varchar(64) not null references space (id),
  id varchar(80) not null,
  told varchar(2000000) not null,
  primary key (space_id, id)
);
-- how a lamp is switched; null where nothing was said
alter table piece add column lamp varchar(1000);
