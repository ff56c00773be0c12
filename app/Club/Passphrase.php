<?php

declare(strict_types=1);

namespace App\Club;

/** What opens this bench to the club's network: kept as a hash in a file of its own, in no backup. */
final readonly class Passphrase
{
    public const SHORTEST = 12;

    /** More than this no way of hashing takes in (bytes). */
    public const LONGEST = 72;

    public function __construct(private string $file)
    {
    }

    public static function here(): self
    {
        return new self(config()->string('linguator.club_folder').'/passphrase');
    }

    public function isSet(): bool
    {
        return is_file($this->file) && filesize($this->file) > 0;
    }

    /** @return string|null Why it is not taken, in a sentence; null: it is set. */
    public function set(string $passphrase): ?string
    {
        if (mb_strlen($passphrase) < self::SHORTEST) {
            return 'Found '.mb_strlen($passphrase).' characters; expected at least '.self::SHORTEST.': a few words are easier to type on a phone than signs.';
        }
        if (strlen($passphrase) > self::LONGEST) {
            return 'Found '.strlen($passphrase).' bytes; expected at most '.self::LONGEST.'.';
        }
        is_dir(dirname($this->file)) || mkdir(dirname($this->file), 0700, true);
        file_put_contents("$this->file.new", password_hash($passphrase, PASSWORD_BCRYPT));
        chmod("$this->file.new", 0600);
        rename("$this->file.new", $this->file);

        return null;
    }

    /** Whether this is it. Where none is set, none is. */
    public function isIt(string $told): bool
    {
        return $this->isSet() && password_verify($told, trim((string) file_get_contents($this->file)));
    }

    public function clear(): void
    {
        is_file($this->file) && unlink($this->file);
    }
}
