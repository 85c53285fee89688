-- Who is alerted when a conversation to identify waits so many working minutes; nobody where no person stands.
create table identify_alert (
  id bigint primary key,
  after_minutes int not null,
  staff_id bigint references staff (id)
);
insert into identify_alert (id, after_minutes) values (1, 30);
