alter table piece add column lean_toward double precision default 0 not null;
alter table piece add column lean_by double precision default 0 not null;
