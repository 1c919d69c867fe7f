alter table piece add column stretched boolean not null default false;
