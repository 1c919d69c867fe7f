alter table piece add column held boolean default false not null;
