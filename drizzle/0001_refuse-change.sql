CREATE TRIGGER act_no_update BEFORE UPDATE ON act BEGIN SELECT RAISE(ABORT, 'posted records are never changed: act'); END;
--> statement-breakpoint
CREATE TRIGGER act_no_delete BEFORE DELETE ON act BEGIN SELECT RAISE(ABORT, 'posted records are never changed: act'); END;
--> statement-breakpoint
CREATE TRIGGER journal_line_no_update BEFORE UPDATE ON journal_line BEGIN SELECT RAISE(ABORT, 'posted records are never changed: journal_line'); END;
--> statement-breakpoint
CREATE TRIGGER journal_line_no_delete BEFORE DELETE ON journal_line BEGIN SELECT RAISE(ABORT, 'posted records are never changed: journal_line'); END;
--> statement-breakpoint
CREATE TRIGGER document_no_update BEFORE UPDATE ON document BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document'); END;
--> statement-breakpoint
CREATE TRIGGER document_no_delete BEFORE DELETE ON document BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document'); END;
--> statement-breakpoint
CREATE TRIGGER document_line_no_update BEFORE UPDATE ON document_line BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document_line'); END;
--> statement-breakpoint
CREATE TRIGGER document_line_no_delete BEFORE DELETE ON document_line BEGIN SELECT RAISE(ABORT, 'posted records are never changed: document_line'); END;
--> statement-breakpoint
CREATE TRIGGER item_no_update BEFORE UPDATE ON item BEGIN SELECT RAISE(ABORT, 'posted records are never changed: item'); END;
--> statement-breakpoint
CREATE TRIGGER item_no_delete BEFORE DELETE ON item BEGIN SELECT RAISE(ABORT, 'posted records are never changed: item'); END;
--> statement-breakpoint
CREATE TRIGGER bank_file_no_update BEFORE UPDATE ON bank_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file'); END;
--> statement-breakpoint
CREATE TRIGGER bank_file_no_delete BEFORE DELETE ON bank_file BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file'); END;
--> statement-breakpoint
CREATE TRIGGER bank_file_part_no_update BEFORE UPDATE ON bank_file_part BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file_part'); END;
--> statement-breakpoint
CREATE TRIGGER bank_file_part_no_delete BEFORE DELETE ON bank_file_part BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_file_part'); END;
--> statement-breakpoint
CREATE TRIGGER bank_statement_no_update BEFORE UPDATE ON bank_statement BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_statement'); END;
--> statement-breakpoint
CREATE TRIGGER bank_statement_no_delete BEFORE DELETE ON bank_statement BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_statement'); END;
--> statement-breakpoint
CREATE TRIGGER bank_entry_no_update BEFORE UPDATE ON bank_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_entry'); END;
--> statement-breakpoint
CREATE TRIGGER bank_entry_no_delete BEFORE DELETE ON bank_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: bank_entry'); END;
--> statement-breakpoint
CREATE TRIGGER statement_entry_no_update BEFORE UPDATE ON statement_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: statement_entry'); END;
--> statement-breakpoint
CREATE TRIGGER statement_entry_no_delete BEFORE DELETE ON statement_entry BEGIN SELECT RAISE(ABORT, 'posted records are never changed: statement_entry'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_no_update BEFORE UPDATE ON receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_no_delete BEFORE DELETE ON receipt BEGIN SELECT RAISE(ABORT, 'posted records are never changed: receipt'); END;
--> statement-breakpoint
CREATE TRIGGER allocation_no_update BEFORE UPDATE ON allocation BEGIN SELECT RAISE(ABORT, 'posted records are never changed: allocation'); END;
--> statement-breakpoint
CREATE TRIGGER allocation_no_delete BEFORE DELETE ON allocation BEGIN SELECT RAISE(ABORT, 'posted records are never changed: allocation'); END;
--> statement-breakpoint
CREATE TRIGGER difference_no_update BEFORE UPDATE ON difference BEGIN SELECT RAISE(ABORT, 'posted records are never changed: difference'); END;
--> statement-breakpoint
CREATE TRIGGER difference_no_delete BEFORE DELETE ON difference BEGIN SELECT RAISE(ABORT, 'posted records are never changed: difference'); END;
--> statement-breakpoint
CREATE TRIGGER letter_no_update BEFORE UPDATE ON letter BEGIN SELECT RAISE(ABORT, 'posted records are never changed: letter'); END;
--> statement-breakpoint
CREATE TRIGGER letter_no_delete BEFORE DELETE ON letter BEGIN SELECT RAISE(ABORT, 'posted records are never changed: letter'); END;
--> statement-breakpoint
CREATE TRIGGER message_no_update BEFORE UPDATE ON message BEGIN SELECT RAISE(ABORT, 'posted records are never changed: message'); END;
--> statement-breakpoint
CREATE TRIGGER message_no_delete BEFORE DELETE ON message BEGIN SELECT RAISE(ABORT, 'posted records are never changed: message'); END;
--> statement-breakpoint
CREATE TRIGGER item_state_bounds BEFORE UPDATE ON item_state WHEN NEW.open < 0 OR NEW.open > (SELECT total FROM item WHERE id = NEW.item_id) BEGIN SELECT RAISE(ABORT, 'an item is never settled beyond its total'); END;
--> statement-breakpoint
CREATE TRIGGER item_state_no_delete BEFORE DELETE ON item_state BEGIN SELECT RAISE(ABORT, 'states follow from posted records and are never removed: item_state'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_state_bounds BEFORE UPDATE ON receipt_state WHEN NEW.on_account < 0 OR NEW.on_account > ABS((SELECT amount FROM receipt WHERE id = NEW.receipt_id)) BEGIN SELECT RAISE(ABORT, 'a credit is never used beyond its amount'); END;
--> statement-breakpoint
CREATE TRIGGER receipt_state_no_delete BEFORE DELETE ON receipt_state BEGIN SELECT RAISE(ABORT, 'states follow from posted records and are never removed: receipt_state'); END;
