-- What was done a moment ago can be taken back, also after a restart.
create table undo_step (
  id bigint generated always as identity primary key,
  name varchar(60) not null,
  staff_id bigint not null references staff,
  conversation_id bigint not null references conversation on delete cascade,
  kind varchar(30) not null,
  event_id bigint not null,
  before_it varchar(100000) not null,
  after_it varchar(100000) not null,
  at timestamp(3) with time zone not null
);
create index undo_step_by_name on undo_step (name, staff_id);
create index undo_step_by_time on undo_step (at);

-- Alerts by escalation carry the usual names.
alter table rung rename to escalation_step;
alter table rung_taken rename to escalation_step_taken;
alter table escalation_step_taken alter column rung rename to step;
