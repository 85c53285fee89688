-- Sentences are saved in the inbox, with a group and an order, or in History, where there are none.
alter table sentence add column place varchar(12) default 'INBOX' not null;
alter table sentence alter column box drop not null;
alter table sentence alter column list_order drop not null;
-- What was handed to a team is sought by History on every search of its people.
create index conversation_of_team on conversation (team_id);
