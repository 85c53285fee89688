-- What someone has put to texts that are not sent is listed among their drafts.
create index attachment_of_staff on attachment (staff_id, entry_id);
