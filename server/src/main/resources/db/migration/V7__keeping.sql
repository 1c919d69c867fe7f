-- how a piece is kept in order, and whether it is the mirror of its article
alter table piece add column mirrored boolean default false not null;
alter table piece add column layer varchar(64);
alter table piece add column group_id varchar(64);
alter table piece add column locked boolean default false not null;
alter table piece add column hidden boolean default false not null;
