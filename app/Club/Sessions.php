<?php

declare(strict_types=1);

namespace App\Club;

/**
 * Who is signed in over the club's network: one small file each, under the hash of what its cookie holds, so that the files open nothing. In no
 * backup either.
 */
final readonly class Sessions
{
    /** Unused for so long it ends; and it ends after so long in any case (s). */
    private const IDLE_S = 7 * 86_400;

    private const LONGEST_S = 30 * 86_400;

    /** When it was used last is told to so many seconds: not every request writes. */
    private const TOLD_S = 60;

    public function __construct(private string $folder)
    {
    }

    public static function here(): self
    {
        return new self(config()->string('linguator.club_folder').'/sessions');
    }

    /** @return string What its cookie holds. */
    public function begin(string $device, string $address, int $now): string
    {
        is_dir($this->folder) || mkdir($this->folder, 0700, true);
        $token = bin2hex(random_bytes(32));
        $this->write(self::id($token), ['device' => mb_substr($device, 0, 120), 'address' => $address, 'begun' => $now, 'seen' => $now]);

        return $token;
    }

    /** Whether this cookie is one that is signed in; it is used now. */
    public function isOpen(string $token, int $now): bool
    {
        $session = preg_match('/^[0-9a-f]{64}$/D', $token) === 1 ? $this->read(self::id($token)) : null;
        if ($session === null) {
            return false;
        }
        if (! self::lasts($session, $now)) {
            $this->end(self::id($token));

            return false;
        }
        if ($now - $session['seen'] >= self::TOLD_S) {
            $this->write(self::id($token), ['seen' => $now] + $session);
        }

        return true;
    }

    /** @return list<array{id: string, device: string, address: string, begun: int, seen: int}> Used last first. */
    public function all(int $now): array
    {
        $open = [];
        foreach (glob("$this->folder/*.json") ?: [] as $file) {
            $id = basename($file, '.json');
            $session = $this->read($id);
            if ($session !== null && self::lasts($session, $now)) {
                $open[] = ['id' => $id] + $session;
            }
        }
        usort($open, static fn (array $a, array $b): int => $b['seen'] <=> $a['seen']);

        return $open;
    }

    public function end(string $id): bool
    {
        $file = $this->file($id);

        return $file !== null && is_file($file) && unlink($file);
    }

    public static function id(string $token): string
    {
        return hash('sha256', $token);
    }

    /** @param  array{begun: int, seen: int}  $session */
    private static function lasts(array $session, int $now): bool
    {
        return $now - $session['seen'] < self::IDLE_S && $now - $session['begun'] < self::LONGEST_S;
    }

    private function file(string $id): ?string
    {
        return preg_match('/^[0-9a-f]{64}$/D', $id) === 1 ? "$this->folder/$id.json" : null;
    }

    /** @return array{device: string, address: string, begun: int, seen: int}|null */
    private function read(string $id): ?array
    {
        $file = $this->file($id);
        $told = $file === null ? false : @file_get_contents($file);
        $session = $told === false ? null : json_decode($told, true);
        if (! is_array($session) || ! is_int($session['begun'] ?? null) || ! is_int($session['seen'] ?? null)) {
            return null;
        }

        return ['device' => is_string($session['device'] ?? null) ? $session['device'] : '', 'address' => is_string($session['address'] ?? null) ? $session['address'] : '', 'begun' => $session['begun'], 'seen' => $session['seen']];
    }

    /** @param  array{device: string, address: string, begun: int, seen: int}  $session */
    private function write(string $id, array $session): void
    {
        $file = $this->file($id);
        if ($file !== null) {
            file_put_contents("$file.new", json_encode($session, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            rename("$file.new", $file);
        }
    }
}
