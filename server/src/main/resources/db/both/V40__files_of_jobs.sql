-- A file that is kept with a customer can belong to one of their jobs.
alter table kept_file add column job_id bigint references job (id) on delete set null;
create index kept_file_of_job on kept_file (job_id);
