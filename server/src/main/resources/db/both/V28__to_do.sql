-- A note with a person and a time: then its conversation is brought back.
create table to_do (
  note_id bigint primary key references entry (id),
  conversation_id bigint not null references conversation (id),
  staff_id bigint not null references staff (id),
  due_at timestamp(3) with time zone not null,
  made_by bigint not null references staff (id),
  brought_at timestamp(3) with time zone,
  done_at timestamp(3) with time zone,
  done_by bigint references staff (id)
);
create index to_do_of_conversation on to_do (conversation_id, note_id);
create index to_do_of_staff on to_do (staff_id, done_at, due_at);
create index to_do_due on to_do (brought_at, due_at, note_id);
