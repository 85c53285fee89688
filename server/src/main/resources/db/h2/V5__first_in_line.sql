-- The next text of each conversation is found without reading all that waits.
create index first_to_go on outbox (conversation_id, id);
