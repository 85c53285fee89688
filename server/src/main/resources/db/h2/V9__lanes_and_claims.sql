-- Texts to one customer do not wait behind those of an act on many; a text on its way belongs to one process.
alter table outbox add column lane varchar(10) default 'SINGLE' not null;
alter table outbox add column claimed_by varchar(60);
alter table outbox add column claimed_until timestamp(3) with time zone;
update outbox set lane = 'MANY' where entry_id in (select id from entry where one_of_many);
create index outbox_in_lane on outbox (lane, id);
create index outbox_of_conversation on outbox (conversation_id, id);
