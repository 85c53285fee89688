-- Up to when each person has read each conversation: the time of the newest entry they saw.
create table seen (
  staff_id bigint not null references staff,
  conversation_id bigint not null references conversation on delete cascade,
  at timestamp(3) with time zone not null,
  primary key (staff_id, conversation_id)
);

-- Whoever is here already has read what is here already.
insert into seen (staff_id, conversation_id, at)
select s.id, c.id, c.last_at from staff s cross join conversation c where c.box in ('OUR_TURN', 'THEIR_TURN', 'SET_ASIDE');
