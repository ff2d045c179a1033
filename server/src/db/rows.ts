import type { RowDataPacket } from 'mysql2'

/**
 * Rows as the query that selects them names their columns: the one place where SQL is trusted to give what it says. What
 * MariaDB gives in another type (counts as strings, booleans as numbers) is converted where the rows are read.
 */
export const rowsAs = <T>(rows: readonly RowDataPacket[]): T[] => rows as unknown as T[]
