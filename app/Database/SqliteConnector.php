<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector as Connector;

/**
 * Opens the bench's file, also where the disk is full or may not be written to: what is there can still be read.
 *
 * Readers beside writers need a small file beside the bench (WAL's index), and no room for it means no reading at all. Alone, one can do without.
 */
final class SqliteConnector extends Connector
{
    /** @param  array<string, mixed>  $config */
    public function connect(array $config): \PDO
    {
        try {
            return self::read(parent::connect($config));
        } catch (\PDOException $error) {
            if (! in_array(Trouble::of($error)?->code, ['no_room', 'read_only'], true)) {
                throw $error;
            }
        }
        try {
            // Who has the file to himself keeps that index in memory. Others wait as for any write.
            return self::read(parent::connect(['pragmas' => ['locking_mode' => 'EXCLUSIVE'] + (array) ($config['pragmas'] ?? [])] + $config));
        } catch (\PDOException $error) {
            return self::read($this->asItLies($config, $error));
        }
    }

    /**
     * A file that nobody can write to, read without any lock.
     *
     * @param  array<string, mixed>  $config
     */
    private function asItLies(array $config, \PDOException $error): \PDO
    {
        $path = $this->parseDatabasePath(is_string($config['database']) ? $config['database'] : '');
        // What was written last may still stand beside the file, and would be missing.
        if (is_file("$path-wal") && filesize("$path-wal") > 0) {
            throw $error;
        }
        $address = 'sqlite:file:'.implode('/', array_map(rawurlencode(...), explode('/', $path))).'?mode=ro&immutable=1';

        return $this->createConnection($address, $config, $this->getOptions($config));
    }

    /** Nothing is opened before something is read. */
    private static function read(\PDO $bench): \PDO
    {
        $bench->query('SELECT 1 FROM sqlite_master LIMIT 1');

        return $bench;
    }
}
