-- What stands behind the figures: one row for each answer, each conversation done, each text identified and each that was not
-- delivered. Listed by how far it went beyond its promise, month by month (UTC), so that a long span is not read whole.
create table figure_case (
  entry_id bigint primary key references entry (id) on delete cascade,
  conversation_id bigint not null,
  line_id bigint not null,
  measure varchar(20) not null,
  in_month int not null,
  beyond bigint not null,
  at timestamp(3) with time zone not null,
  staff_id bigint not null,
  late boolean not null,
  first_answer boolean not null
);
create index figure_case_by_beyond on figure_case (
  line_id, measure, in_month, beyond desc, at desc, entry_id desc, staff_id, late, first_answer, conversation_id);

-- All days are summed again, which fills it.
update figures_made set feed = null;
