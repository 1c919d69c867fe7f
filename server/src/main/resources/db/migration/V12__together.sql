-- the step that was done in another space in one act with this one
alter table step add column partner bigint;
