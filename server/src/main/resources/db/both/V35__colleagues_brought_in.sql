-- Colleagues of other teams who see one conversation until it is done or they are let out.
create table guest (
  conversation_id bigint not null references conversation (id),
  staff_id bigint not null references staff (id),
  by_id bigint not null references staff (id),
  may_answer boolean not null,
  since timestamp(3) with time zone not null,
  primary key (conversation_id, staff_id)
);
create index guest_of_staff on guest (staff_id);
