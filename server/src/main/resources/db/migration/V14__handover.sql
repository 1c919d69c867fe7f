-- how the files of a project are handed over: unit, scale, paper and the like
alter table project add column handed_over varchar(4000);
