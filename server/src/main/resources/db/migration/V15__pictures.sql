-- pictures that people brought to be printed on parts, each once a project
create table picture (
  id varchar(64) primary key,
  project_id varchar(64) not null references project(id),
  print varchar(24) not null,
  material varchar(200) not null,
  width double precision,
  listed boolean not null,
  made_at timestamp with time zone not null,
  file blob not null,
  unique (project_id, print)
);
create index picture_print on picture (print);
