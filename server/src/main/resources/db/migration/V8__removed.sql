-- What was removed is put aside, so that it can be brought back.
alter table project add column removed_at timestamp with time zone;
alter table space add column removed_at timestamp with time zone;
