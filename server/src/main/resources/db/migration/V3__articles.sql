-- Articles that a project brought in from model files.
create table article (
  id varchar(64) primary key,
  project_id varchar(64) not null references project (id),
  name varchar(200) not null,
  mounting varchar(10) not null,
  on_tops boolean not null,
  finishes clob not null,
  mesh blob not null,
  made_at timestamp with time zone not null
);
