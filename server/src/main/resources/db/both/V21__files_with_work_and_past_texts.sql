-- Files are about customers, appointments, jobs, or texts of the time before.
alter table customer_import add column subject varchar(12) default 'CUSTOMERS' not null;
alter table import_change alter column before set data type varchar(2000);
alter table import_change alter column after set data type varchar(2000);

-- Texts of the time before Fabulum: by which import they came, by whom they were where that is nobody on the staff,
-- and a mark by which the same one is known again.
create table past_text (
  entry_id bigint primary key references entry (id),
  act bigint not null references identifying (id),
  mark varchar(64) not null unique,
  author varchar(160)
);
create index past_text_of_act on past_text (act, entry_id);
