CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
CREATE TRIGGER event_is_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON event FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
-- The access record lets lines go once their time is over, and changes none.
CREATE FUNCTION refuse_early_removal() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.at > now() - interval '365 days' THEN
    RAISE EXCEPTION 'a line of the access record is kept for a year' USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN OLD;
END $$;
--> statement-breakpoint
CREATE TRIGGER access_record_never_changes BEFORE UPDATE OR TRUNCATE ON access_record FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER access_record_is_kept BEFORE DELETE ON access_record FOR EACH ROW EXECUTE FUNCTION refuse_early_removal();
--> statement-breakpoint
CREATE FUNCTION refuse_published_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.status <> 'draft' AND (NEW.body IS DISTINCT FROM OLD.body OR NEW.status = 'draft' OR NEW.version <> OLD.version) THEN
    RAISE EXCEPTION 'a published rulebook never changes' USING ERRCODE = 'restrict_violation';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER rulebook_published_never_changes BEFORE UPDATE ON rulebook FOR EACH ROW EXECUTE FUNCTION refuse_published_change();
--> statement-breakpoint
CREATE TRIGGER office_reference_never_changes BEFORE UPDATE OR DELETE ON office_reference FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

--> statement-breakpoint
-- Room in each page, so that a row of which no index changes is written beside its former version and no index is touched.
ALTER TABLE file_standing SET (fillfactor = 70);

--> statement-breakpoint
-- Every value that the office has put beside a claim is kept, whoever puts it there.
CREATE FUNCTION keep_confirmation() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE' THEN
    INSERT INTO confirmation_version (application_id, scope, section, entry, field, value, at)
      VALUES (OLD.application_id, OLD.scope, OLD.section, OLD.entry, OLD.field, NULL, now());
  ELSE
    INSERT INTO confirmation_version (application_id, scope, section, entry, field, value, note, by_id, at)
      VALUES (NEW.application_id, NEW.scope, NEW.section, NEW.entry, NEW.field, NEW.value, NEW.note, NEW.by_id, NEW.at);
  END IF;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER confirmation_is_kept AFTER INSERT OR UPDATE OR DELETE ON confirmation FOR EACH ROW EXECUTE FUNCTION keep_confirmation();
--> statement-breakpoint
CREATE TRIGGER confirmation_version_never_changes BEFORE UPDATE OR TRUNCATE ON confirmation_version FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
