CREATE TABLE "answer" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"value" jsonb,
	"version" integer NOT NULL,
	"position" integer DEFAULT 0 NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	"dormant" boolean DEFAULT false NOT NULL,
	CONSTRAINT "answer_application_id_scope_section_entry_field_pk" PRIMARY KEY("application_id","scope","section","entry","field")
);
--> statement-breakpoint
CREATE TABLE "answer_version" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"value" jsonb,
	"saved_at" timestamp with time zone NOT NULL,
	"saved_by" text NOT NULL,
	CONSTRAINT "answer_version_application_id_scope_section_entry_field_version_pk" PRIMARY KEY("application_id","scope","section","entry","field","version")
);
--> statement-breakpoint
CREATE TABLE "application" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"number" text NOT NULL,
	"person_id" uuid NOT NULL,
	"joined_from_id" uuid,
	"cycle_id" uuid NOT NULL,
	"procedure_id" uuid NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"withdrawn_at" timestamp with time zone,
	"group_since_submission" text,
	"reminders" integer DEFAULT 0 NOT NULL,
	"officer_id" uuid,
	"erasure_told_at" timestamp with time zone,
	CONSTRAINT "application_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "ask" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"letter" uuid NOT NULL,
	"position" smallint DEFAULT 0 NOT NULL,
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"wants" text DEFAULT 'evidence' NOT NULL,
	"text" text NOT NULL,
	"due" date NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"by_id" uuid NOT NULL,
	"answered_at" timestamp with time zone,
	"answer" text,
	"read_at" timestamp with time zone,
	"read_by_id" uuid,
	"reminders" smallint DEFAULT 0 NOT NULL,
	CONSTRAINT "ask_wants" CHECK ("ask"."wants" in ('evidence','words'))
);
--> statement-breakpoint
CREATE TABLE "choice" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"intake_id" uuid NOT NULL,
	"round_id" uuid NOT NULL,
	"rulebook_id" uuid NOT NULL,
	"rank" integer NOT NULL,
	"campus" text,
	"language" text NOT NULL,
	"mode" text,
	"track" text,
	"other_tracks" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"added_at" timestamp with time zone NOT NULL,
	"extended_to" timestamp with time zone,
	"submitted_at" timestamp with time zone,
	"withdrawn_at" timestamp with time zone,
	"complete_at" timestamp with time zone,
	CONSTRAINT "choice_once" UNIQUE("application_id","intake_id"),
	CONSTRAINT "choice_mode" CHECK ("choice"."mode" in ('full time','part time'))
);
--> statement-breakpoint
CREATE TABLE "confirmation" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"value" jsonb,
	"answer_version" integer NOT NULL,
	"upload_id" uuid,
	"note" text,
	"by_id" uuid,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "confirmation_application_id_scope_section_entry_field_pk" PRIMARY KEY("application_id","scope","section","entry","field")
);
--> statement-breakpoint
CREATE TABLE "confirmation_version" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"field" text NOT NULL,
	"value" jsonb,
	"note" text,
	"by_id" uuid,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "correction_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"sections" jsonb NOT NULL,
	"text" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"answered_at" timestamp with time zone,
	"answered_by_id" uuid,
	"refusal" text
);
--> statement-breakpoint
CREATE TABLE "decision" (
	"choice_id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"reason" text,
	"note" text,
	"conditions" jsonb NOT NULL,
	"prepared_by_id" uuid NOT NULL,
	"prepared_at" timestamp with time zone NOT NULL,
	"released_by_id" uuid,
	"released_at" timestamp with time zone,
	"answer_by" date,
	"answer" text,
	"answered_at" timestamp with time zone,
	CONSTRAINT "decision_kind" CHECK ("decision"."kind" in ('offer','offer on conditions','waiting list','refusal')),
	CONSTRAINT "decision_answer" CHECK ("decision"."answer" in ('accepted','declined')),
	CONSTRAINT "decision_second_person" CHECK ("decision"."released_by_id" is null or "decision"."released_by_id" <> "decision"."prepared_by_id")
);
--> statement-breakpoint
CREATE TABLE "override" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"choice_id" uuid NOT NULL,
	"rule" text NOT NULL,
	"finding" text NOT NULL,
	"worked" text NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid,
	"end_reason" text,
	CONSTRAINT "override_finding" CHECK ("override"."finding" in ('met','not met')),
	CONSTRAINT "override_worked" CHECK ("override"."worked" in ('met','not met','open'))
);
--> statement-breakpoint
CREATE TABLE "reopening" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"sections" jsonb NOT NULL,
	"reason" text NOT NULL,
	"due" date NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"opened_by_id" uuid NOT NULL,
	"answered_at" timestamp with time zone,
	"read_at" timestamp with time zone,
	"read_by_id" uuid,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "submission" (
	"application_id" uuid NOT NULL,
	"no" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"choices" jsonb NOT NULL,
	"answers" jsonb NOT NULL,
	"uploads" jsonb NOT NULL,
	"office_version" integer NOT NULL,
	CONSTRAINT "submission_application_id_no_pk" PRIMARY KEY("application_id","no")
);
--> statement-breakpoint
CREATE TABLE "turn_change" (
	"application_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"turn" text NOT NULL,
	CONSTRAINT "turn_change_application_id_at_pk" PRIMARY KEY("application_id","at"),
	CONSTRAINT "turn_change_turn" CHECK ("turn_change"."turn" in ('office','faculty','applicant','payment','third party','nobody'))
);
--> statement-breakpoint
CREATE TABLE "undertaking" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"locale" text NOT NULL,
	"text" text NOT NULL,
	"choices" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "auth_account" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "auth_passkey" (
	"id" text PRIMARY KEY NOT NULL,
	"user_id" text NOT NULL,
	"name" text NOT NULL,
	"credential_id" text NOT NULL,
	"public_key" text NOT NULL,
	"counter" integer NOT NULL,
	"device_type" text NOT NULL,
	"backed_up" boolean NOT NULL,
	"transports" text,
	"aaguid" text,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "auth_passkey_credential_id_unique" UNIQUE("credential_id")
);
--> statement-breakpoint
CREATE TABLE "auth_session" (
	"id" text PRIMARY KEY NOT NULL,
	"user_id" text NOT NULL,
	"token" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "auth_session_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "auth_two_factor" (
	"id" text PRIMARY KEY NOT NULL,
	"user_id" text NOT NULL,
	"secret" text NOT NULL,
	"backup_codes" text NOT NULL,
	"verified" boolean DEFAULT false NOT NULL,
	"failed_verification_count" integer DEFAULT 0 NOT NULL,
	"locked_until" timestamp with time zone,
	CONSTRAINT "auth_two_factor_user_id_unique" UNIQUE("user_id")
);
--> statement-breakpoint
CREATE TABLE "auth_user" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" "citext" NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"two_factor_enabled" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "auth_user_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "auth_verification" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone,
	"updated_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "cycle" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"key" text NOT NULL,
	"title" jsonb NOT NULL,
	"last_number" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "cycle_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "empty_search" (
	"folded" text NOT NULL,
	"campus" text DEFAULT '' NOT NULL,
	"words" text NOT NULL,
	"times" integer DEFAULT 1 NOT NULL,
	"last_at" timestamp with time zone NOT NULL,
	CONSTRAINT "empty_search_folded_campus_pk" PRIMARY KEY("folded","campus")
);
--> statement-breakpoint
CREATE TABLE "intake" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"programme_id" uuid NOT NULL,
	"cycle_id" uuid NOT NULL,
	"starts_on" date NOT NULL,
	"places" integer NOT NULL,
	"quotas" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"options" jsonb DEFAULT '{"campuses":[],"languages":[],"modes":[],"tracks":[]}'::jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "intake_once" UNIQUE("programme_id","cycle_id","starts_on")
);
--> statement-breakpoint
CREATE TABLE "interest" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"programme_id" uuid NOT NULL,
	"email" text NOT NULL,
	"locale" text NOT NULL,
	"token_hash" text NOT NULL,
	"noted_at" timestamp with time zone NOT NULL,
	CONSTRAINT "interest_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "interest_once" UNIQUE("programme_id","email")
);
--> statement-breakpoint
CREATE TABLE "office_reference" (
	"version" integer PRIMARY KEY NOT NULL,
	"edition" uuid DEFAULT gen_random_uuid() NOT NULL,
	"body" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"made_by" text DEFAULT 'system' NOT NULL,
	"note" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "preview" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"rulebook_id" uuid,
	"edit" integer NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"asked_by" text NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"finished_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "preview_effect" (
	"preview_id" uuid NOT NULL,
	"number" text NOT NULL,
	"choice_id" uuid NOT NULL,
	"effect" jsonb NOT NULL,
	CONSTRAINT "preview_effect_preview_id_number_choice_id_pk" PRIMARY KEY("preview_id","number","choice_id")
);
--> statement-breakpoint
CREATE TABLE "procedure" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"key" text NOT NULL,
	"title" jsonb NOT NULL,
	"rules" jsonb NOT NULL,
	CONSTRAINT "procedure_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "programme" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"procedure_id" uuid NOT NULL,
	"code" text NOT NULL,
	"title" jsonb NOT NULL,
	"award" text NOT NULL,
	"level" text NOT NULL,
	"fields" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"languages" jsonb NOT NULL,
	"length" integer NOT NULL,
	"length_unit" text NOT NULL,
	"ects" integer NOT NULL,
	"campuses" jsonb NOT NULL,
	"modes" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"tracks" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"tracks_ranked" boolean DEFAULT false NOT NULL,
	"description" jsonb NOT NULL,
	"prerequisites" jsonb,
	"contact" jsonb,
	"partner" text,
	"keywords" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"sponsors_visa" boolean DEFAULT true NOT NULL,
	"one_page" boolean DEFAULT false NOT NULL,
	"shows_times" boolean DEFAULT false NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "programme_code_unique" UNIQUE("code"),
	CONSTRAINT "programme_length_unit" CHECK ("programme"."length_unit" in ('months','weeks','days'))
);
--> statement-breakpoint
CREATE TABLE "reference_draft" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"base" integer NOT NULL,
	"body" jsonb NOT NULL,
	"edit" integer DEFAULT 1 NOT NULL,
	"begun_at" timestamp with time zone NOT NULL,
	"edited_at" timestamp with time zone NOT NULL,
	"edited_by" text NOT NULL,
	CONSTRAINT "reference_draft_one" CHECK ("reference_draft"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE "round" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"intake_id" uuid NOT NULL,
	"key" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"opens_at" timestamp with time zone NOT NULL,
	"closings" jsonb NOT NULL,
	"rolling" boolean DEFAULT false NOT NULL,
	"closes_when_full" boolean DEFAULT false NOT NULL,
	"if_places_left" boolean DEFAULT false NOT NULL,
	"prepare_before" boolean DEFAULT true NOT NULL,
	"closed_at" timestamp with time zone,
	"closed_reason" text,
	"promise_days" integer NOT NULL,
	"announced_at" timestamp with time zone,
	"reminded_at" timestamp with time zone,
	CONSTRAINT "round_once" UNIQUE("intake_id","key")
);
--> statement-breakpoint
CREATE TABLE "rulebook" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"intake_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"status" text NOT NULL,
	"body" jsonb NOT NULL,
	"published_at" timestamp with time zone,
	"note" text,
	"edit" integer DEFAULT 1 NOT NULL,
	"edited_at" timestamp with time zone,
	"edited_by" text,
	CONSTRAINT "rulebook_version" UNIQUE("intake_id","version"),
	CONSTRAINT "rulebook_status" CHECK ("rulebook"."status" in ('draft','published','superseded'))
);
--> statement-breakpoint
CREATE TABLE "shared_part" (
	"key" text PRIMARY KEY NOT NULL,
	"title" jsonb NOT NULL,
	"body" jsonb NOT NULL,
	"edit" integer DEFAULT 1 NOT NULL,
	"edited_at" timestamp with time zone NOT NULL,
	"edited_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "template" (
	"sha256" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"stored_at" timestamp with time zone NOT NULL,
	"stored_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "content" (
	"sha256" text PRIMARY KEY NOT NULL,
	"size" integer NOT NULL,
	"media_type" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "content_chunk" (
	"sha256" text NOT NULL,
	"no" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "content_chunk_sha256_no_pk" PRIMARY KEY("sha256","no")
);
--> statement-breakpoint
CREATE TABLE "sending" (
	"id" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"size" integer NOT NULL,
	"arrived" integer DEFAULT 0 NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "sending_arrived" CHECK ("sending"."arrived" between 0 and "sending"."size")
);
--> statement-breakpoint
CREATE TABLE "sending_part" (
	"sending_id" text NOT NULL,
	"first" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "sending_part_sending_id_first_pk" PRIMARY KEY("sending_id","first")
);
--> statement-breakpoint
CREATE TABLE "attachment" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"upload_id" uuid NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"conversation_id" uuid,
	CONSTRAINT "attachment_upload_id_unique" UNIQUE("upload_id")
);
--> statement-breakpoint
CREATE TABLE "conversation" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"from_office" boolean NOT NULL,
	"by_id" uuid NOT NULL,
	"text" text NOT NULL,
	"about" text DEFAULT '' NOT NULL,
	"question" text DEFAULT '' NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"read_at" timestamp with time zone,
	"answered_at" timestamp with time zone,
	"answered_by_id" uuid,
	"mail_id" uuid
);
--> statement-breakpoint
CREATE TABLE "incoming_file" (
	"mail_id" uuid NOT NULL,
	"no" integer NOT NULL,
	"name" text NOT NULL,
	"sha256" text NOT NULL,
	"original_sha256" text,
	"pages" integer NOT NULL,
	"marks" jsonb NOT NULL,
	"upload_id" uuid,
	CONSTRAINT "incoming_file_mail_id_no_pk" PRIMARY KEY("mail_id","no")
);
--> statement-breakpoint
CREATE TABLE "incoming_mail" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"message_id" text NOT NULL,
	"kind" text NOT NULL,
	"from_address" text NOT NULL,
	"from_name" text NOT NULL,
	"subject" text NOT NULL,
	"text" text NOT NULL,
	"written" text NOT NULL,
	"left_out" jsonb NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"application_id" uuid,
	"to_other" boolean DEFAULT false NOT NULL,
	"outcome" text NOT NULL,
	"dealt_at" timestamp with time zone,
	"dealt_by_id" uuid,
	CONSTRAINT "incoming_mail_message_id_unique" UNIQUE("message_id"),
	CONSTRAINT "incoming_mail_kind" CHECK ("incoming_mail"."kind" in ('written','returned','automatic')),
	CONSTRAINT "incoming_mail_outcome" CHECK ("incoming_mail"."outcome" in ('waiting','message','kept','put away'))
);
--> statement-breakpoint
CREATE TABLE "office_text" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"en" text NOT NULL,
	"fr" text NOT NULL,
	"uses" text[] NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "office_text_name_unique" UNIQUE("name")
);
--> statement-breakpoint
CREATE TABLE "evidence" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"upload_id" uuid NOT NULL,
	"first_page" integer DEFAULT 1 NOT NULL,
	"last_page" integer NOT NULL,
	"supplied_at" timestamp with time zone NOT NULL,
	"replaced_at" timestamp with time zone,
	"part_of" uuid,
	"joined_into" uuid,
	"judgement" text,
	"judged_at" timestamp with time zone,
	"judged_by_id" uuid,
	"reason" text,
	"proof" text DEFAULT 'copy' NOT NULL,
	CONSTRAINT "evidence_judgement" CHECK ("evidence"."judgement" in ('accepted','returned')),
	CONSTRAINT "evidence_proof" CHECK ("evidence"."proof" in ('claimed','copy','certified copy','original seen','from the issuer'))
);
--> statement-breakpoint
CREATE TABLE "reference_link" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"request_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reference_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"referee" text NOT NULL,
	"scopes" jsonb NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"due_at" timestamp with time zone NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"reminded_at" timestamp with time zone,
	"reminders" integer DEFAULT 0 NOT NULL,
	"more_until" date,
	"more_words" text,
	"own_browser" boolean DEFAULT false NOT NULL,
	"decline_reason" text,
	"decline_words" text,
	"draft" jsonb,
	"taken_by_id" uuid,
	"opened_at" timestamp with time zone,
	"given_at" timestamp with time zone,
	"closed_at" timestamp with time zone,
	"answers" jsonb,
	"upload_id" uuid,
	"judgement" text,
	"judged_at" timestamp with time zone,
	"judged_by_id" uuid,
	CONSTRAINT "reference_decline_reason" CHECK ("reference_request"."decline_reason" in ('no time','not well enough','too close','not me','other')),
	CONSTRAINT "reference_state" CHECK ("reference_request"."state" in ('asked','opened','given','declined','withdrawn','undeliverable')),
	CONSTRAINT "reference_judgement" CHECK ("reference_request"."judgement" in ('accepted','returned'))
);
--> statement-breakpoint
CREATE TABLE "registry_mode" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"down" boolean NOT NULL,
	"delay_ms" integer NOT NULL,
	CONSTRAINT "registry_mode_one" CHECK ("registry_mode"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE "registry_query" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"board" text NOT NULL,
	"year" text NOT NULL,
	"candidate" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"by_id" uuid,
	"answered_at" timestamp with time zone,
	"again_at" timestamp with time zone,
	"name" text,
	"results" jsonb,
	"since" text,
	"others" jsonb DEFAULT '[]'::jsonb NOT NULL,
	CONSTRAINT "registry_query_state" CHECK ("registry_query"."state" in ('asked','down','not found','other name','found','changed'))
);
--> statement-breakpoint
CREATE TABLE "registry_record" (
	"board" text NOT NULL,
	"year" text NOT NULL,
	"candidate" text NOT NULL,
	"name" text NOT NULL,
	"results" jsonb NOT NULL,
	CONSTRAINT "registry_record_board_year_candidate_pk" PRIMARY KEY("board","year","candidate")
);
--> statement-breakpoint
CREATE TABLE "return_reason" (
	"key" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"words" jsonb NOT NULL,
	"offered" boolean NOT NULL,
	"version" integer NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "signature_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"sentence" jsonb NOT NULL,
	"title" jsonb NOT NULL,
	"token_hash" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"answered_at" timestamp with time zone,
	"signed_as" text,
	"upload_id" uuid,
	CONSTRAINT "signature_request_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "signature_state" CHECK ("signature_request"."state" in ('asked','signed','declined','undeliverable','replaced'))
);
--> statement-breakpoint
CREATE TABLE "upload" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"sha256" text NOT NULL,
	"original_sha256" text,
	"name" text NOT NULL,
	"pages" integer NOT NULL,
	"marks" jsonb NOT NULL,
	"uploaded_at" timestamp with time zone NOT NULL,
	"uploaded_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "institution" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"country" text NOT NULL,
	"kind" text NOT NULL,
	"languages" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"scales" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"credits_per_year" numeric,
	"recognition" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"fingerprints" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	"changed_by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "institution_name" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"institution_id" uuid NOT NULL,
	"name" text NOT NULL,
	"folded" text NOT NULL,
	"country" text NOT NULL,
	"kind" text NOT NULL,
	CONSTRAINT "institution_name_kind" CHECK ("institution_name"."kind" in ('own','other','written'))
);
--> statement-breakpoint
CREATE TABLE "charge" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"item" text NOT NULL,
	"scope" text NOT NULL,
	"minor" integer NOT NULL,
	"currency" text NOT NULL,
	"payment_reference" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	CONSTRAINT "charge_payment_reference_unique" UNIQUE("payment_reference"),
	CONSTRAINT "charge_once" UNIQUE("application_id","item","scope")
);
--> statement-breakpoint
CREATE TABLE "charge_adjustment" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"charge_id" uuid NOT NULL,
	"minor" integer NOT NULL,
	"reason" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "payment" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"charge_id" uuid NOT NULL,
	"minor" integer NOT NULL,
	"currency" text NOT NULL,
	"state" text NOT NULL,
	"provider_key" text,
	"started_at" timestamp with time zone NOT NULL,
	"settled_at" timestamp with time zone,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "payment_provider_key_unique" UNIQUE("provider_key"),
	CONSTRAINT "payment_state" CHECK ("payment"."state" in ('started','booked','declined','abandoned'))
);
--> statement-breakpoint
CREATE TABLE "adjustment" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"what" text NOT NULL,
	"why" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "check_claim" (
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"person_id" uuid NOT NULL,
	"until" timestamp with time zone NOT NULL,
	CONSTRAINT "check_claim_application_id_requirement_pk" PRIMARY KEY("application_id","requirement")
);
--> statement-breakpoint
CREATE TABLE "check_later" (
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"person_id" uuid NOT NULL,
	"until" timestamp with time zone NOT NULL,
	CONSTRAINT "check_later_application_id_requirement_person_id_pk" PRIMARY KEY("application_id","requirement","person_id")
);
--> statement-breakpoint
CREATE TABLE "contact_note" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"kind" text NOT NULL,
	"text" text DEFAULT '' NOT NULL,
	"about" text DEFAULT '' NOT NULL,
	"question" text DEFAULT '' NOT NULL,
	"by_id" uuid,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "copy_of" (
	"order_id" uuid NOT NULL,
	"application_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"made_at" timestamp with time zone,
	"sha256" text,
	CONSTRAINT "copy_of_order_id_application_id_pk" PRIMARY KEY("order_id","application_id")
);
--> statement-breakpoint
CREATE TABLE "copy_order" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"asked_by_id" uuid NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"reader" text NOT NULL,
	"documents" boolean NOT NULL,
	"locale" text NOT NULL,
	CONSTRAINT "copy_order_reader" CHECK ("copy_order"."reader" in ('office','assessors','finance','applicant')),
	CONSTRAINT "copy_order_locale" CHECK ("copy_order"."locale" in ('en','fr'))
);
--> statement-breakpoint
CREATE TABLE "deed" (
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"note" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "deed_application_id_requirement_scope_entry_pk" PRIMARY KEY("application_id","requirement","scope","entry")
);
--> statement-breakpoint
CREATE TABLE "excuse" (
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "excuse_application_id_requirement_scope_entry_pk" PRIMARY KEY("application_id","requirement","scope","entry")
);
--> statement-breakpoint
CREATE TABLE "file_mark" (
	"application_id" uuid NOT NULL,
	"mark" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "file_mark_application_id_mark_pk" PRIMARY KEY("application_id","mark")
);
--> statement-breakpoint
CREATE TABLE "file_note" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"text" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "file_presence" (
	"application_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"seen_at" timestamp with time zone NOT NULL,
	CONSTRAINT "file_presence_application_id_person_id_pk" PRIMARY KEY("application_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "keeper_note" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"text" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "keeper_note_application_id_scope_section_entry_field_pk" PRIMARY KEY("application_id","scope","section","entry","field")
);
--> statement-breakpoint
CREATE TABLE "link_note" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"field" text NOT NULL,
	"url" text NOT NULL,
	"opens" boolean NOT NULL,
	"copy_sha256" text,
	"copy_name" text,
	"copied_at" timestamp with time zone,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "link_note_application_id_scope_section_entry_field_url_pk" PRIMARY KEY("application_id","scope","section","entry","field","url")
);
--> statement-breakpoint
CREATE TABLE "named_list" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"query" text NOT NULL,
	"shared" boolean DEFAULT false NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "note_mention" (
	"note_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"read_at" timestamp with time zone,
	CONSTRAINT "note_mention_note_id_person_id_pk" PRIMARY KEY("note_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "page_left_out" (
	"upload_id" uuid NOT NULL,
	"page" integer NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "page_left_out_upload_id_page_pk" PRIMARY KEY("upload_id","page")
);
--> statement-breakpoint
CREATE TABLE "section_summary" (
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"text" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "section_summary_application_id_scope_section_pk" PRIMARY KEY("application_id","scope","section")
);
--> statement-breakpoint
CREATE TABLE "task" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"section" text DEFAULT '' NOT NULL,
	"title" text NOT NULL,
	"due" date NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"done_at" timestamp with time zone,
	"done_by_id" uuid,
	"outcome" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "absence" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" uuid NOT NULL,
	"cover_id" uuid NOT NULL,
	"from_on" date NOT NULL,
	"until_on" date NOT NULL,
	"noted_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "account_join" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"kept_id" uuid NOT NULL,
	"given_id" uuid NOT NULL,
	"files" jsonb NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid
);
--> statement-breakpoint
CREATE TABLE "address_change" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" uuid NOT NULL,
	"before" "citext" NOT NULL,
	"after" "citext" NOT NULL,
	"reason" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "assigning" (
	"id" integer PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"rules" jsonb NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	"saved_by_id" uuid
);
--> statement-breakpoint
CREATE TABLE "consent" (
	"person_id" uuid NOT NULL,
	"text_key" text NOT NULL,
	"text_version" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "consent_person_id_text_key_text_version_pk" PRIMARY KEY("person_id","text_key","text_version")
);
--> statement-breakpoint
CREATE TABLE "erasure_request" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" uuid NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"answered_at" timestamp with time zone,
	"answered_by_id" uuid,
	"report" jsonb
);
--> statement-breakpoint
CREATE TABLE "role_grant" (
	"person_id" uuid NOT NULL,
	"role" text NOT NULL,
	"scope" text DEFAULT '*' NOT NULL,
	"granted_at" timestamp with time zone NOT NULL,
	"until" timestamp with time zone,
	CONSTRAINT "role_grant_person_id_role_scope_pk" PRIMARY KEY("person_id","role","scope"),
	CONSTRAINT "role_grant_role" CHECK ("role_grant"."role" in ('officer','lead officer','standards keeper','finance','assessor','adviser','administrator','agent'))
);
--> statement-breakpoint
CREATE TABLE "last_look" (
	"person_id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"before" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "mail_link" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"token_hash" text NOT NULL,
	"purpose" text NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"replaced_at" timestamp with time zone,
	CONSTRAINT "mail_link_token_hash_unique" UNIQUE("token_hash"),
	CONSTRAINT "mail_link_purpose" CHECK ("mail_link"."purpose" in ('confirm address','set password'))
);
--> statement-breakpoint
CREATE TABLE "password_guess" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"subject" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"wrong" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "person" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"account_id" text,
	"name" text NOT NULL,
	"email" "citext" NOT NULL,
	"locale" text DEFAULT 'en' NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"confirmed_at" timestamp with time zone,
	CONSTRAINT "person_account_id_unique" UNIQUE("account_id"),
	CONSTRAINT "person_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "same_person" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"first_id" uuid NOT NULL,
	"second_id" uuid NOT NULL,
	"verdict" text NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "same_person_order" CHECK ("same_person"."first_id" < "same_person"."second_id"),
	CONSTRAINT "same_person_verdict" CHECK ("same_person"."verdict" in ('same','different','undecided'))
);
--> statement-breakpoint
CREATE TABLE "announced_paper" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"requirement" text NOT NULL,
	"scope" text NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"way" text NOT NULL,
	"expected_on" date NOT NULL,
	"announced_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	CONSTRAINT "announced_paper_way" CHECK ("announced_paper"."way" in ('post','courier','by hand','from the issuer'))
);
--> statement-breakpoint
CREATE TABLE "paper" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid,
	"requirement" text DEFAULT '' NOT NULL,
	"scope" text DEFAULT 'file' NOT NULL,
	"entry" text DEFAULT '' NOT NULL,
	"contents" text NOT NULL,
	"sender" text NOT NULL,
	"state" text NOT NULL,
	"came_on" date NOT NULL,
	"upload_id" uuid,
	"noted_at" timestamp with time zone NOT NULL,
	"noted_by_id" uuid NOT NULL,
	"inspected_at" timestamp with time zone,
	"inspected_by_id" uuid,
	"to_go_back_at" timestamp with time zone,
	"sent_back_at" timestamp with time zone,
	CONSTRAINT "paper_state" CHECK ("paper"."state" in ('in order','damaged','opened','incomplete'))
);
--> statement-breakpoint
CREATE TABLE "access_record" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"person_id" uuid,
	"file" text,
	"concerns_id" uuid,
	"about" text DEFAULT '' NOT NULL,
	"network" text,
	CONSTRAINT "access_record_kind" CHECK ("access_record"."kind" in ('signed in','sign-in failed','kept out','code failed','recovery code used','second factor set','second factor removed','passkey added','passkey removed','let back in','accounts joined','accounts parted','invited','role given','role taken','erased','file opened','document opened','copy downloaded','list downloaded'))
);
--> statement-breakpoint
CREATE TABLE "awaited" (
	"application_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"about" text NOT NULL,
	"due" text NOT NULL,
	CONSTRAINT "awaited_application_id_kind_about_due_pk" PRIMARY KEY("application_id","kind","about","due"),
	CONSTRAINT "awaited_kind_word" CHECK ("awaited"."kind" in ('result','degree','courses','registry','one part short','paper ends'))
);
--> statement-breakpoint
CREATE TABLE "choice_standing" (
	"choice_id" uuid PRIMARY KEY NOT NULL,
	"application_id" uuid NOT NULL,
	"stage" text NOT NULL,
	"closed_as" text,
	"eligibility" text NOT NULL,
	"own_days" integer,
	"others_days" integer,
	"findings" jsonb NOT NULL,
	CONSTRAINT "choice_standing_stage" CHECK ("choice_standing"."stage" in ('preparing','submitted','complete','in review','decided','answered','closed')),
	CONSTRAINT "choice_standing_closed_as" CHECK ("choice_standing"."closed_as" in ('withdrawn','refused','declined','lapsed','offer lapsed')),
	CONSTRAINT "choice_standing_eligibility" CHECK ("choice_standing"."eligibility" in ('eligible','eligible on conditions','not eligible','open'))
);
--> statement-breakpoint
CREATE TABLE "event" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"act" text NOT NULL,
	"actor" text NOT NULL,
	"application_id" uuid,
	"about" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "file_key" (
	"application_id" uuid NOT NULL,
	"key" text NOT NULL,
	CONSTRAINT "file_key_application_id_key_pk" PRIMARY KEY("application_id","key")
);
--> statement-breakpoint
CREATE TABLE "file_search" (
	"application_id" uuid PRIMARY KEY NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "file_standing" (
	"application_id" uuid PRIMARY KEY NOT NULL,
	"number" text NOT NULL,
	"name" text DEFAULT '' NOT NULL,
	"stage" text NOT NULL,
	"turn" text NOT NULL,
	"reason" text NOT NULL,
	"turn_since" timestamp with time zone NOT NULL,
	"owes" text[] NOT NULL,
	"requirement" text,
	"next_title" text,
	"next_count" integer,
	"due_at" timestamp with time zone,
	"order_at" timestamp with time zone NOT NULL,
	"comb" text NOT NULL,
	"programmes" text NOT NULL,
	"tags" text[] NOT NULL,
	"arrived_at" timestamp with time zone,
	"officer_id" uuid,
	"last_event_at" timestamp with time zone NOT NULL,
	"valid_until" timestamp with time zone,
	"mend_until" timestamp with time zone,
	"assessed_at" timestamp with time zone NOT NULL,
	"office_version" integer NOT NULL,
	"rests_on" text[] NOT NULL,
	CONSTRAINT "standing_stage" CHECK ("file_standing"."stage" in ('preparing','submitted','complete','in review','decided','answered','closed')),
	CONSTRAINT "standing_turn_word" CHECK ("file_standing"."turn" in ('office','faculty','applicant','payment','third party','nobody')),
	CONSTRAINT "standing_reason_word" CHECK ("file_standing"."reason" in ('fill','submit','check','confirm','rule','decide','release','supply','supply again','answer ask','read answer','follow up','correct','read changes','read results','answer request','answer message','reach applicant','name referee','pay','book payment','give reference','await result','await signature','await paper','await registry','do','inspect','task','answer offer','prove','load calendar','withdrawn','refused','declined','lapsed','offer lapsed','preparing','submitted','complete','in review','decided','answered','closed'))
);
--> statement-breakpoint
CREATE TABLE "file_trouble" (
	"application_id" uuid PRIMARY KEY NOT NULL,
	"first_at" timestamp with time zone NOT NULL,
	"last_at" timestamp with time zone NOT NULL,
	"tries" integer NOT NULL,
	"error" jsonb NOT NULL,
	"next_try_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mail_wording" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"template" text NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "mail_wording_template" CHECK ("mail_wording"."template" in ('confirm-address','already-has-account','set-password','staff-invited','staff-let-in','passkey-added','accounts-joined','account-given','accounts-parted','address-corrected','erased-whole','erased-part','interest-noted','interest-opened','round-opened','round-opens-soon','draft-closes','draft-missing','draft-erased-soon','round-changed','round-closed','round-full','round-reopened','extended','rulebook-changed','case-accepted','case-refused','move-suggested','submitted','choice-moved','programme-moved','rulebook-moved','group-changed','adjustment-granted','reopened','corrected','correction-refused','reopening-ended','withdrawn','written','evidence-returned','asked','asked-list','ask-extended','ask-reminder','reminded','supplied-for-you','paper-arrived','paper-sent-back','contact-asked','contact-failed','reference-asked','reference-reminder','reference-extended','reference-silent','reference-ended','referee-wanted','referee-not-reached','reference-withdrawn','reference-given','reference-declined','signature-asked','signature-given','signature-declined','decision-released','answer-received'))
);
--> statement-breakpoint
CREATE TABLE "message" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid,
	"person_id" uuid,
	"to_address" text NOT NULL,
	"template" text NOT NULL,
	"locale" text NOT NULL,
	"values" jsonb NOT NULL,
	"state" text NOT NULL,
	"due_at" timestamp with time zone NOT NULL,
	"queued_at" timestamp with time zone NOT NULL,
	"claimed_at" timestamp with time zone,
	"sent_at" timestamp with time zone,
	"attempts" integer DEFAULT 0 NOT NULL,
	"failure" text,
	"failing_since" timestamp with time zone,
	"refused" boolean DEFAULT false NOT NULL,
	"wording_id" uuid,
	"dealt_at" timestamp with time zone,
	CONSTRAINT "message_state" CHECK ("message"."state" in ('queued','sending','sent','failed','withdrawn')),
	CONSTRAINT "message_locale" CHECK ("message"."locale" in ('en','fr'))
);
--> statement-breakpoint
CREATE TABLE "tray_answer" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"raw" "bytea" NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"fetched_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "tray_mail" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"message_id" uuid NOT NULL,
	"to_address" text NOT NULL,
	"subject" text NOT NULL,
	"body" text NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	CONSTRAINT "tray_mail_message_id_unique" UNIQUE("message_id")
);
--> statement-breakpoint
CREATE TABLE "owner_list" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"test" text NOT NULL,
	"file_name" text NOT NULL,
	"lines" integer NOT NULL,
	"taken_by_id" uuid NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "owner_result" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"list_id" uuid NOT NULL,
	"test" text NOT NULL,
	"number" text NOT NULL,
	"number_key" text NOT NULL,
	"name" text NOT NULL,
	"birth_date" date,
	"taken_on" date NOT NULL,
	"scores" jsonb NOT NULL,
	"state" text NOT NULL,
	"application_id" uuid,
	"scope" text,
	"section" text,
	"entry" text,
	"settled_by_id" uuid,
	"settled_at" timestamp with time zone,
	CONSTRAINT "owner_result_number" UNIQUE("test","number_key","taken_on"),
	CONSTRAINT "owner_result_state" CHECK ("owner_result"."state" in ('nobody','found','other name','not theirs'))
);
--> statement-breakpoint
CREATE TABLE "applied_ruling" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"ruling_id" uuid NOT NULL,
	"question" text NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"about" jsonb NOT NULL,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid
);
--> statement-breakpoint
CREATE TABLE "early_case" (
	"application_id" uuid NOT NULL,
	"question" text NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	CONSTRAINT "early_case_application_id_question_scope_section_entry_pk" PRIMARY KEY("application_id","question","scope","section","entry")
);
--> statement-breakpoint
CREATE TABLE "ruling" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"question" text NOT NULL,
	"country" text NOT NULL,
	"institution" text NOT NULL,
	"title" text NOT NULL,
	"level" text NOT NULL,
	"verdict" text NOT NULL,
	"reason" text NOT NULL,
	"equal_to" text,
	"limits" text,
	"by_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"ended_by_id" uuid,
	"end_reason" text,
	CONSTRAINT "ruling_verdict" CHECK ("ruling"."verdict" in ('accepted','refused'))
);
--> statement-breakpoint
CREATE TABLE "likeness" (
	"first_id" uuid NOT NULL,
	"second_id" uuid NOT NULL,
	"words" integer NOT NULL,
	"found_at" timestamp with time zone NOT NULL,
	"verdict" text,
	"note" text DEFAULT '' NOT NULL,
	"by_id" uuid,
	"at" timestamp with time zone,
	CONSTRAINT "likeness_first_id_second_id_pk" PRIMARY KEY("first_id","second_id"),
	CONSTRAINT "likeness_order" CHECK ("likeness"."first_id" < "likeness"."second_id"),
	CONSTRAINT "likeness_verdict" CHECK ("likeness"."verdict" in ('harmless','copied'))
);
--> statement-breakpoint
CREATE TABLE "statement_text" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"application_id" uuid NOT NULL,
	"scope" text NOT NULL,
	"section" text NOT NULL,
	"entry" text NOT NULL,
	"field" text NOT NULL,
	"version" integer NOT NULL,
	"words" integer NOT NULL,
	"marks" bigint[] NOT NULL,
	"submitted_at" timestamp with time zone NOT NULL,
	CONSTRAINT "statement_text_place" UNIQUE("application_id","scope","section","entry","field")
);
--> statement-breakpoint
ALTER TABLE "answer" ADD CONSTRAINT "answer_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "answer_version" ADD CONSTRAINT "answer_version_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_joined_from_id_person_id_fk" FOREIGN KEY ("joined_from_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_cycle_id_cycle_id_fk" FOREIGN KEY ("cycle_id") REFERENCES "public"."cycle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_procedure_id_procedure_id_fk" FOREIGN KEY ("procedure_id") REFERENCES "public"."procedure"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_officer_id_person_id_fk" FOREIGN KEY ("officer_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ask" ADD CONSTRAINT "ask_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ask" ADD CONSTRAINT "ask_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ask" ADD CONSTRAINT "ask_read_by_id_person_id_fk" FOREIGN KEY ("read_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice" ADD CONSTRAINT "choice_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice" ADD CONSTRAINT "choice_intake_id_intake_id_fk" FOREIGN KEY ("intake_id") REFERENCES "public"."intake"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice" ADD CONSTRAINT "choice_round_id_round_id_fk" FOREIGN KEY ("round_id") REFERENCES "public"."round"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice" ADD CONSTRAINT "choice_rulebook_id_rulebook_id_fk" FOREIGN KEY ("rulebook_id") REFERENCES "public"."rulebook"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "confirmation" ADD CONSTRAINT "confirmation_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "confirmation" ADD CONSTRAINT "confirmation_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "confirmation_version" ADD CONSTRAINT "confirmation_version_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_request" ADD CONSTRAINT "correction_request_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_request" ADD CONSTRAINT "correction_request_answered_by_id_person_id_fk" FOREIGN KEY ("answered_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_choice_id_choice_id_fk" FOREIGN KEY ("choice_id") REFERENCES "public"."choice"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_prepared_by_id_person_id_fk" FOREIGN KEY ("prepared_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_released_by_id_person_id_fk" FOREIGN KEY ("released_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_choice_id_choice_id_fk" FOREIGN KEY ("choice_id") REFERENCES "public"."choice"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "override" ADD CONSTRAINT "override_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_opened_by_id_person_id_fk" FOREIGN KEY ("opened_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reopening" ADD CONSTRAINT "reopening_read_by_id_person_id_fk" FOREIGN KEY ("read_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "submission" ADD CONSTRAINT "submission_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "turn_change" ADD CONSTRAINT "turn_change_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "undertaking" ADD CONSTRAINT "undertaking_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_account" ADD CONSTRAINT "auth_account_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_passkey" ADD CONSTRAINT "auth_passkey_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_session" ADD CONSTRAINT "auth_session_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_two_factor" ADD CONSTRAINT "auth_two_factor_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "intake" ADD CONSTRAINT "intake_programme_id_programme_id_fk" FOREIGN KEY ("programme_id") REFERENCES "public"."programme"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "intake" ADD CONSTRAINT "intake_cycle_id_cycle_id_fk" FOREIGN KEY ("cycle_id") REFERENCES "public"."cycle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "interest" ADD CONSTRAINT "interest_programme_id_programme_id_fk" FOREIGN KEY ("programme_id") REFERENCES "public"."programme"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "preview" ADD CONSTRAINT "preview_rulebook_id_rulebook_id_fk" FOREIGN KEY ("rulebook_id") REFERENCES "public"."rulebook"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "preview_effect" ADD CONSTRAINT "preview_effect_preview_id_preview_id_fk" FOREIGN KEY ("preview_id") REFERENCES "public"."preview"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "programme" ADD CONSTRAINT "programme_procedure_id_procedure_id_fk" FOREIGN KEY ("procedure_id") REFERENCES "public"."procedure"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_intake_id_intake_id_fk" FOREIGN KEY ("intake_id") REFERENCES "public"."intake"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rulebook" ADD CONSTRAINT "rulebook_intake_id_intake_id_fk" FOREIGN KEY ("intake_id") REFERENCES "public"."intake"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "template" ADD CONSTRAINT "template_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "content_chunk" ADD CONSTRAINT "content_chunk_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sending" ADD CONSTRAINT "sending_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sending_part" ADD CONSTRAINT "sending_part_sending_id_sending_id_fk" FOREIGN KEY ("sending_id") REFERENCES "public"."sending"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachment" ADD CONSTRAINT "attachment_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachment" ADD CONSTRAINT "attachment_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachment" ADD CONSTRAINT "attachment_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachment" ADD CONSTRAINT "attachment_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_answered_by_id_person_id_fk" FOREIGN KEY ("answered_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_mail_id_incoming_mail_id_fk" FOREIGN KEY ("mail_id") REFERENCES "public"."incoming_mail"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_file" ADD CONSTRAINT "incoming_file_mail_id_incoming_mail_id_fk" FOREIGN KEY ("mail_id") REFERENCES "public"."incoming_mail"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_file" ADD CONSTRAINT "incoming_file_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_file" ADD CONSTRAINT "incoming_file_original_sha256_content_sha256_fk" FOREIGN KEY ("original_sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_file" ADD CONSTRAINT "incoming_file_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_mail" ADD CONSTRAINT "incoming_mail_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "incoming_mail" ADD CONSTRAINT "incoming_mail_dealt_by_id_person_id_fk" FOREIGN KEY ("dealt_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "office_text" ADD CONSTRAINT "office_text_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evidence" ADD CONSTRAINT "evidence_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evidence" ADD CONSTRAINT "evidence_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evidence" ADD CONSTRAINT "evidence_part_of_evidence_id_fk" FOREIGN KEY ("part_of") REFERENCES "public"."evidence"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evidence" ADD CONSTRAINT "evidence_joined_into_evidence_id_fk" FOREIGN KEY ("joined_into") REFERENCES "public"."evidence"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "evidence" ADD CONSTRAINT "evidence_judged_by_id_person_id_fk" FOREIGN KEY ("judged_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_link" ADD CONSTRAINT "reference_link_request_id_reference_request_id_fk" FOREIGN KEY ("request_id") REFERENCES "public"."reference_request"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_request" ADD CONSTRAINT "reference_request_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_request" ADD CONSTRAINT "reference_request_taken_by_id_person_id_fk" FOREIGN KEY ("taken_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_request" ADD CONSTRAINT "reference_request_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_request" ADD CONSTRAINT "reference_request_judged_by_id_person_id_fk" FOREIGN KEY ("judged_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "registry_query" ADD CONSTRAINT "registry_query_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "registry_query" ADD CONSTRAINT "registry_query_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "return_reason" ADD CONSTRAINT "return_reason_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signature_request" ADD CONSTRAINT "signature_request_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signature_request" ADD CONSTRAINT "signature_request_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "upload" ADD CONSTRAINT "upload_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "upload" ADD CONSTRAINT "upload_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "upload" ADD CONSTRAINT "upload_original_sha256_content_sha256_fk" FOREIGN KEY ("original_sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "institution_name" ADD CONSTRAINT "institution_name_institution_id_institution_id_fk" FOREIGN KEY ("institution_id") REFERENCES "public"."institution"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "charge" ADD CONSTRAINT "charge_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "charge_adjustment" ADD CONSTRAINT "charge_adjustment_charge_id_charge_id_fk" FOREIGN KEY ("charge_id") REFERENCES "public"."charge"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "payment" ADD CONSTRAINT "payment_charge_id_charge_id_fk" FOREIGN KEY ("charge_id") REFERENCES "public"."charge"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "adjustment" ADD CONSTRAINT "adjustment_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "adjustment" ADD CONSTRAINT "adjustment_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "check_claim" ADD CONSTRAINT "check_claim_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "check_claim" ADD CONSTRAINT "check_claim_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "check_later" ADD CONSTRAINT "check_later_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "check_later" ADD CONSTRAINT "check_later_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "contact_note" ADD CONSTRAINT "contact_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "contact_note" ADD CONSTRAINT "contact_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_order_id_copy_order_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."copy_order"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_of" ADD CONSTRAINT "copy_of_sha256_content_sha256_fk" FOREIGN KEY ("sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "copy_order" ADD CONSTRAINT "copy_order_asked_by_id_person_id_fk" FOREIGN KEY ("asked_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deed" ADD CONSTRAINT "deed_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deed" ADD CONSTRAINT "deed_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "excuse" ADD CONSTRAINT "excuse_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "excuse" ADD CONSTRAINT "excuse_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_mark" ADD CONSTRAINT "file_mark_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_mark" ADD CONSTRAINT "file_mark_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_note" ADD CONSTRAINT "file_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_note" ADD CONSTRAINT "file_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_presence" ADD CONSTRAINT "file_presence_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_presence" ADD CONSTRAINT "file_presence_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "keeper_note" ADD CONSTRAINT "keeper_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "keeper_note" ADD CONSTRAINT "keeper_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_copy_sha256_content_sha256_fk" FOREIGN KEY ("copy_sha256") REFERENCES "public"."content"("sha256") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link_note" ADD CONSTRAINT "link_note_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "named_list" ADD CONSTRAINT "named_list_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_mention" ADD CONSTRAINT "note_mention_note_id_file_note_id_fk" FOREIGN KEY ("note_id") REFERENCES "public"."file_note"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_mention" ADD CONSTRAINT "note_mention_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page_left_out" ADD CONSTRAINT "page_left_out_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page_left_out" ADD CONSTRAINT "page_left_out_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "section_summary" ADD CONSTRAINT "section_summary_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "section_summary" ADD CONSTRAINT "section_summary_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_done_by_id_person_id_fk" FOREIGN KEY ("done_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "absence" ADD CONSTRAINT "absence_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "absence" ADD CONSTRAINT "absence_cover_id_person_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account_join" ADD CONSTRAINT "account_join_kept_id_person_id_fk" FOREIGN KEY ("kept_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account_join" ADD CONSTRAINT "account_join_given_id_person_id_fk" FOREIGN KEY ("given_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account_join" ADD CONSTRAINT "account_join_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account_join" ADD CONSTRAINT "account_join_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "address_change" ADD CONSTRAINT "address_change_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "address_change" ADD CONSTRAINT "address_change_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assigning" ADD CONSTRAINT "assigning_saved_by_id_person_id_fk" FOREIGN KEY ("saved_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "consent" ADD CONSTRAINT "consent_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "erasure_request" ADD CONSTRAINT "erasure_request_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "erasure_request" ADD CONSTRAINT "erasure_request_answered_by_id_person_id_fk" FOREIGN KEY ("answered_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "role_grant" ADD CONSTRAINT "role_grant_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "last_look" ADD CONSTRAINT "last_look_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mail_link" ADD CONSTRAINT "mail_link_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_first_id_person_id_fk" FOREIGN KEY ("first_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_second_id_person_id_fk" FOREIGN KEY ("second_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "same_person" ADD CONSTRAINT "same_person_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "announced_paper" ADD CONSTRAINT "announced_paper_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "paper" ADD CONSTRAINT "paper_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "paper" ADD CONSTRAINT "paper_upload_id_upload_id_fk" FOREIGN KEY ("upload_id") REFERENCES "public"."upload"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "paper" ADD CONSTRAINT "paper_noted_by_id_person_id_fk" FOREIGN KEY ("noted_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "paper" ADD CONSTRAINT "paper_inspected_by_id_person_id_fk" FOREIGN KEY ("inspected_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice_standing" ADD CONSTRAINT "choice_standing_choice_id_choice_id_fk" FOREIGN KEY ("choice_id") REFERENCES "public"."choice"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "choice_standing" ADD CONSTRAINT "choice_standing_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_key" ADD CONSTRAINT "file_key_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_search" ADD CONSTRAINT "file_search_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_standing" ADD CONSTRAINT "file_standing_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "file_trouble" ADD CONSTRAINT "file_trouble_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mail_wording" ADD CONSTRAINT "mail_wording_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_wording_id_mail_wording_id_fk" FOREIGN KEY ("wording_id") REFERENCES "public"."mail_wording"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_list" ADD CONSTRAINT "owner_list_taken_by_id_person_id_fk" FOREIGN KEY ("taken_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_list_id_owner_list_id_fk" FOREIGN KEY ("list_id") REFERENCES "public"."owner_list"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "owner_result" ADD CONSTRAINT "owner_result_settled_by_id_person_id_fk" FOREIGN KEY ("settled_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_ruling_id_ruling_id_fk" FOREIGN KEY ("ruling_id") REFERENCES "public"."ruling"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "applied_ruling" ADD CONSTRAINT "applied_ruling_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "early_case" ADD CONSTRAINT "early_case_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ruling" ADD CONSTRAINT "ruling_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ruling" ADD CONSTRAINT "ruling_ended_by_id_person_id_fk" FOREIGN KEY ("ended_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_first_id_statement_text_id_fk" FOREIGN KEY ("first_id") REFERENCES "public"."statement_text"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_second_id_statement_text_id_fk" FOREIGN KEY ("second_id") REFERENCES "public"."statement_text"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "likeness" ADD CONSTRAINT "likeness_by_id_person_id_fk" FOREIGN KEY ("by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "statement_text" ADD CONSTRAINT "statement_text_application_id_application_id_fk" FOREIGN KEY ("application_id") REFERENCES "public"."application"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "answer_studied_at" ON "answer" USING btree ("field",lower(left("value" #>> '{}', 100))) WHERE "answer"."field" in ('institution', 'country');--> statement-breakpoint
CREATE UNIQUE INDEX "application_once" ON "application" USING btree ("person_id","cycle_id","procedure_id") WHERE "application"."joined_from_id" is null;--> statement-breakpoint
CREATE INDEX "application_person" ON "application" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "ask_application" ON "ask" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "ask_open_due" ON "ask" USING btree ("due") WHERE "ask"."answered_at" is null;--> statement-breakpoint
CREATE INDEX "choice_intake" ON "choice" USING btree ("intake_id");--> statement-breakpoint
CREATE INDEX "confirmation_version_place" ON "confirmation_version" USING btree ("application_id","section","entry","field");--> statement-breakpoint
CREATE UNIQUE INDEX "correction_request_one_open" ON "correction_request" USING btree ("application_id") WHERE "correction_request"."answered_at" is null;--> statement-breakpoint
CREATE INDEX "override_application" ON "override" USING btree ("application_id");--> statement-breakpoint
CREATE UNIQUE INDEX "override_one_live" ON "override" USING btree ("choice_id","rule") WHERE "override"."ended_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "reopening_one_open" ON "reopening" USING btree ("application_id") WHERE "reopening"."answered_at" is null and "reopening"."ended_at" is null;--> statement-breakpoint
CREATE INDEX "undertaking_application" ON "undertaking" USING btree ("application_id","at");--> statement-breakpoint
CREATE INDEX "auth_passkey_user" ON "auth_passkey" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "preview_of" ON "preview" USING btree ("rulebook_id","asked_at");--> statement-breakpoint
CREATE UNIQUE INDEX "rulebook_one_draft" ON "rulebook" USING btree ("intake_id") WHERE "rulebook"."status" = 'draft';--> statement-breakpoint
CREATE UNIQUE INDEX "rulebook_one_published" ON "rulebook" USING btree ("intake_id") WHERE "rulebook"."status" = 'published';--> statement-breakpoint
CREATE INDEX "sending_person" ON "sending" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "attachment_conversation" ON "attachment" USING btree ("conversation_id");--> statement-breakpoint
CREATE INDEX "attachment_held" ON "attachment" USING btree ("application_id","by_id") WHERE "attachment"."conversation_id" is null;--> statement-breakpoint
CREATE INDEX "conversation_application" ON "conversation" USING btree ("application_id","at");--> statement-breakpoint
CREATE INDEX "conversation_open" ON "conversation" USING btree ("application_id") WHERE not "conversation"."from_office" and "conversation"."answered_at" is null;--> statement-breakpoint
CREATE INDEX "conversation_about" ON "conversation" USING btree ("about","at");--> statement-breakpoint
CREATE INDEX "incoming_file_content" ON "incoming_file" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "incoming_file_original" ON "incoming_file" USING btree ("original_sha256");--> statement-breakpoint
CREATE INDEX "incoming_file_upload" ON "incoming_file" USING btree ("upload_id");--> statement-breakpoint
CREATE INDEX "incoming_mail_application" ON "incoming_mail" USING btree ("application_id","received_at");--> statement-breakpoint
CREATE INDEX "incoming_mail_waiting" ON "incoming_mail" USING btree ("received_at") WHERE "incoming_mail"."outcome" = 'waiting';--> statement-breakpoint
CREATE INDEX "incoming_mail_dealt" ON "incoming_mail" USING btree ("dealt_at");--> statement-breakpoint
CREATE INDEX "evidence_application" ON "evidence" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "reference_link_request" ON "reference_link" USING btree ("request_id");--> statement-breakpoint
CREATE INDEX "reference_application" ON "reference_request" USING btree ("application_id");--> statement-breakpoint
CREATE UNIQUE INDEX "reference_one_live" ON "reference_request" USING btree ("application_id","referee") WHERE "reference_request"."state" in ('asked','opened','given');--> statement-breakpoint
CREATE INDEX "registry_query_application" ON "registry_query" USING btree ("application_id","asked_at");--> statement-breakpoint
CREATE INDEX "signature_application" ON "signature_request" USING btree ("application_id");--> statement-breakpoint
CREATE UNIQUE INDEX "signature_one_open" ON "signature_request" USING btree ("application_id","requirement") WHERE "signature_request"."state" = 'asked';--> statement-breakpoint
CREATE INDEX "upload_application" ON "upload" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "upload_content" ON "upload" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "upload_original" ON "upload" USING btree ("original_sha256");--> statement-breakpoint
CREATE UNIQUE INDEX "institution_name_once" ON "institution_name" USING btree ("folded","country");--> statement-breakpoint
CREATE INDEX "institution_name_of" ON "institution_name" USING btree ("institution_id");--> statement-breakpoint
CREATE INDEX "institution_name_trigram" ON "institution_name" USING gin ("folded" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "adjustment_charge" ON "charge_adjustment" USING btree ("charge_id");--> statement-breakpoint
CREATE INDEX "payment_charge" ON "payment" USING btree ("charge_id");--> statement-breakpoint
CREATE INDEX "adjustment_application" ON "adjustment" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "contact_note_application" ON "contact_note" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "copy_of_content" ON "copy_of" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "copy_order_of" ON "copy_order" USING btree ("asked_by_id","asked_at");--> statement-breakpoint
CREATE INDEX "file_mark_word" ON "file_mark" USING btree ("mark");--> statement-breakpoint
CREATE INDEX "file_note_application" ON "file_note" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "named_list_person" ON "named_list" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "note_mention_person" ON "note_mention" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "task_application" ON "task" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "absence_person" ON "absence" USING btree ("person_id","until_on");--> statement-breakpoint
CREATE INDEX "absence_cover" ON "absence" USING btree ("cover_id","until_on");--> statement-breakpoint
CREATE UNIQUE INDEX "account_join_given" ON "account_join" USING btree ("given_id") WHERE "account_join"."ended_at" is null;--> statement-breakpoint
CREATE INDEX "account_join_kept" ON "account_join" USING btree ("kept_id");--> statement-breakpoint
CREATE INDEX "address_change_person" ON "address_change" USING btree ("person_id","at");--> statement-breakpoint
CREATE UNIQUE INDEX "erasure_request_open" ON "erasure_request" USING btree ("person_id") WHERE "erasure_request"."answered_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "mail_link_one_live" ON "mail_link" USING btree ("person_id","purpose") WHERE "mail_link"."used_at" is null and "mail_link"."replaced_at" is null;--> statement-breakpoint
CREATE INDEX "password_guess_subject" ON "password_guess" USING btree ("subject","at");--> statement-breakpoint
CREATE INDEX "same_person_pair" ON "same_person" USING btree ("first_id","second_id");--> statement-breakpoint
CREATE UNIQUE INDEX "announced_paper_one_open" ON "announced_paper" USING btree ("application_id","requirement","scope","entry") WHERE "announced_paper"."ended_at" is null;--> statement-breakpoint
CREATE INDEX "paper_application" ON "paper" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "paper_noted" ON "paper" USING btree ("noted_at");--> statement-breakpoint
CREATE INDEX "access_record_person" ON "access_record" USING btree ("person_id","kind","id");--> statement-breakpoint
CREATE INDEX "access_record_file" ON "access_record" USING btree ("file","id");--> statement-breakpoint
CREATE INDEX "access_record_at" ON "access_record" USING btree ("at");--> statement-breakpoint
CREATE INDEX "awaited_kind" ON "awaited" USING btree ("kind","due","application_id");--> statement-breakpoint
CREATE INDEX "choice_standing_application" ON "choice_standing" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "event_application" ON "event" USING btree ("application_id","id");--> statement-breakpoint
CREATE INDEX "file_key_key" ON "file_key" USING btree ("key");--> statement-breakpoint
CREATE INDEX "file_search_trigram" ON "file_search" USING gin ("text" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "standing_turn" ON "file_standing" USING btree ("turn","order_at","number");--> statement-breakpoint
CREATE INDEX "standing_reason" ON "file_standing" USING btree ("turn","reason","order_at","number");--> statement-breakpoint
CREATE INDEX "standing_officer" ON "file_standing" USING btree ("officer_id","turn","reason");--> statement-breakpoint
CREATE INDEX "standing_owes" ON "file_standing" USING gin ("owes");--> statement-breakpoint
CREATE INDEX "standing_mend" ON "file_standing" USING btree ("turn","mend_until");--> statement-breakpoint
CREATE INDEX "standing_valid" ON "file_standing" USING btree ("valid_until");--> statement-breakpoint
CREATE INDEX "standing_arrived" ON "file_standing" USING btree ("arrived_at");--> statement-breakpoint
CREATE INDEX "standing_last" ON "file_standing" USING btree ("turn","last_event_at","number");--> statement-breakpoint
CREATE INDEX "file_trouble_next" ON "file_trouble" USING btree ("next_try_at");--> statement-breakpoint
CREATE UNIQUE INDEX "mail_wording_version" ON "mail_wording" USING btree ("template","version");--> statement-breakpoint
CREATE INDEX "message_due" ON "message" USING btree ("due_at") WHERE "message"."state" = 'queued';--> statement-breakpoint
CREATE INDEX "message_claimed" ON "message" USING btree ("claimed_at") WHERE "message"."state" = 'sending';--> statement-breakpoint
CREATE INDEX "message_person" ON "message" USING btree ("person_id","queued_at");--> statement-breakpoint
CREATE INDEX "message_stranger" ON "message" USING btree ("to_address","queued_at") WHERE "message"."application_id" is null;--> statement-breakpoint
CREATE INDEX "message_asked" ON "message" USING btree ("queued_at") WHERE "message"."template" in ('reference-asked', 'signature-asked');--> statement-breakpoint
CREATE INDEX "message_application" ON "message" USING btree ("application_id","queued_at");--> statement-breakpoint
CREATE INDEX "message_returned" ON "message" USING btree ("application_id") WHERE "message"."refused" and "message"."dealt_at" is null;--> statement-breakpoint
CREATE INDEX "tray_answer_new" ON "tray_answer" USING btree ("at") WHERE "tray_answer"."fetched_at" is null;--> statement-breakpoint
CREATE INDEX "tray_to" ON "tray_mail" USING btree ("to_address","received_at");--> statement-breakpoint
CREATE INDEX "owner_result_application" ON "owner_result" USING btree ("application_id");--> statement-breakpoint
CREATE INDEX "owner_result_list" ON "owner_result" USING btree ("list_id");--> statement-breakpoint
CREATE INDEX "applied_ruling_ruling" ON "applied_ruling" USING btree ("ruling_id");--> statement-breakpoint
CREATE UNIQUE INDEX "applied_ruling_one" ON "applied_ruling" USING btree ("application_id","scope","section","entry","question") WHERE "applied_ruling"."ended_at" is null;--> statement-breakpoint
CREATE INDEX "ruling_question" ON "ruling" USING btree ("question","country");--> statement-breakpoint
CREATE INDEX "likeness_second" ON "likeness" USING btree ("second_id");--> statement-breakpoint
CREATE INDEX "likeness_open" ON "likeness" USING btree ("first_id") WHERE "likeness"."verdict" is null;--> statement-breakpoint
CREATE INDEX "statement_text_marks" ON "statement_text" USING gin ("marks");