-- The other side of a conversation is one number or a group of them; what tells it from others is the line, the channel and the numbers.
alter table conversation add column channel varchar(8) default 'TEXT' not null;
alter table conversation add column began_with varchar(400);
update conversation set began_with = (select n.address from number n where n.id = conversation.number_id);
alter table conversation alter column began_with set not null;
alter table conversation drop constraint one_per_line_and_number;
alter table conversation add constraint one_per_line_channel_and_numbers unique (line_id, channel, began_with);

create table participant (
  conversation_id bigint not null references conversation (id) on delete cascade,
  number_id bigint not null references number (id),
  primary key (conversation_id, number_id)
);
insert into participant (conversation_id, number_id) select id, number_id from conversation;
create index participant_by_number on participant (number_id, conversation_id);

-- How many numbers a group conversation of the line may have.
alter table line add column group_limit int default 8 not null;

-- Which of them wrote a text that came in. Numbers are never deleted; a foreign key would be one more index on every text.
alter table entry add column number_id bigint;
update entry set number_id = (select c.number_id from conversation c where c.id = entry.conversation_id) where kind = 'IN';

-- How far a text of ours to several numbers has come with each; the entry itself says how far it has come with all.
create table delivery (
  entry_id bigint not null references entry (id) on delete cascade,
  number_id bigint not null references number (id),
  state varchar(16) not null,
  failure_code varchar(60),
  failure_reason varchar(400),
  primary key (entry_id, number_id)
);
