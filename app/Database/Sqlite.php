<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;

/**
 * A connection whose transactions have the right to write from their first moment on.
 *
 * One that reads first and then writes is refused at once where somebody else has written in between; no waiting helps it.
 * From PHP 8.4 on the framework does this itself (`transaction_mode`); before, PDO begins every transaction as a reading one.
 */
final class Sqlite extends SQLiteConnection
{
    /** A write that changes nothing: this bench keeps no version there. */
    private const TAKE_THE_PEN = 'PRAGMA user_version = 0';

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        if (PHP_VERSION_ID >= 80400) {
            return;
        }
        try {
            $this->getPdo()->exec(self::TAKE_THE_PEN);
        } catch (\PDOException $error) {
            $this->getPdo()->rollBack();
            throw $error;
        }
    }
}
