alter table line add column promise_minutes int default 60 not null;

create table line_span (
  line_id bigint not null references line (id),
  day_of_week int not null,
  from_minute int not null,
  minutes int not null,
  primary key (line_id, day_of_week, from_minute)
);

create table closed_day (
  line_id bigint not null references line (id),
  closed date not null,
  primary key (line_id, closed)
);

-- Where a conversation stands in its group: by when an answer is due on our turn, else by since when it stands so.
alter table conversation add column due_at timestamp(3) with time zone;
alter table conversation add column sort_at timestamp(3) with time zone;
update conversation set sort_at = since;
alter table conversation alter column sort_at set not null;
drop index conversation_in_box;
create index conversation_in_box on conversation (box, sort_at, id);
