-- pieces that are kept by a rule, and twins
alter table piece_group add column repeats varchar(1000000);

create table twin (
  space_id varchar(64) not null references space (id),
  id varchar(64) not null,
  x double precision not null,
  z double precision not null,
  way_across double precision not null,
  way_deep double precision not null,
  turned boolean not null,
  primary key (space_id, id)
);

alter table piece add column slot_place bigint;
alter table piece add column slot_part int;
alter table piece add column slot_own boolean;
alter table piece add column twin varchar(64);
alter table piece add column twin_piece varchar(64);
alter table piece add column twin_first boolean;
