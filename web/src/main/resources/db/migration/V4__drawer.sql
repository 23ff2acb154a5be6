-- A deleted gadget lies in the drawer for a month before it goes for good.
alter table project add column deleted_at timestamp with time zone;
