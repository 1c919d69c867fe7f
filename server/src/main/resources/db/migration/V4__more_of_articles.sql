-- What is known of an article besides its shape; pictures on it; and the full form of a heavy one, as a GLB file.
alter table article add column kind varchar(200) default 'own/brought in' not null;
alter table article add column about varchar(500) default '' not null;
alter table article add column weight double precision default 0 not null;
alter table article add column width double precision;
alter table article add column depth double precision;
alter table article add column height double precision;
alter table article add column ware varchar(64);
alter table article add column pictures blob;
alter table article add column full_form blob;
