<?php

declare(strict_types=1);

namespace App\Console;

use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Verb\Services;
use Linguator\Core\Verb\Verbs;

/** Verbs without the framework, which they need nothing of: it takes longer to start than they to answer. */
final readonly class Quick
{
    private const PREFIX = 'linguator:';

    private function __construct(private string $root)
    {
    }

    /**
     * @param  list<string>  $argv
     * @return int|null The exit status; null: a command for the framework.
     */
    public static function run(array $argv, string $root): ?int
    {
        require_once __DIR__.'/CommandLine.php';
        $line = CommandLine::of(array_slice($argv, 1));
        if ($line === null || ! str_starts_with($line->command, self::PREFIX)) {
            return null;
        }
        $quick = new self($root);
        spl_autoload_register($quick->load(...));

        return $quick->answer($line, substr($line->command, strlen(self::PREFIX)));
    }

    private function answer(CommandLine $line, string $verb): ?int
    {
        $services = new Services(Formats::with($this->ownFormats(...)));
        if ($verb === Verbs::DECODE) {
            return array_diff(array_keys($line->options), DecodeRun::OPTIONS) === []
                ? (new DecodeRun($this->root, $line->file ?? '-', $line->options, $services))()
                : null;
        }
        if ($line->options !== [] || ! isset(Verbs::all()[$verb])) {
            return null;
        }

        return VerbRun::print(static fn (): array => (new Verbs(new Schemas, $services))->askText($verb, VerbRun::text($line->file)));
    }

    /** @return list<FormatCard> Read from the bench's file as it lies there; none where there is no bench yet. */
    private function ownFormats(): array
    {
        $schemas = new Schemas;
        $file = $this->benchFile();
        try {
            $formats = is_file($file) ? (new \PDO("sqlite:$file"))->query('SELECT document FROM formats ORDER BY id') : false;
            $documents = $formats === false ? [] : $formats->fetchAll(\PDO::FETCH_COLUMN);
        } catch (\PDOException) {
            return [];
        }

        return array_values(array_map(static fn (mixed $document): FormatCard => FormatCard::of(Json::decode(is_string($document) ? $document : ''), $schemas), $documents));
    }

    /** As config/database.php has it. */
    private function benchFile(): string
    {
        $told = getenv('LINGUATOR_DB');
        if (! is_string($told) || $told === '') {
            $told = preg_match('/^LINGUATOR_DB=["\']?([^"\'\r\n]*)/m', (string) @file_get_contents("$this->root/.env"), $match) === 1 ? $match[1] : '';
        }

        return $told !== '' ? $told : "$this->root/storage/linguator.sqlite";
    }

    /** The core's and this folder's classes by their names; for any other one, what Composer knows. */
    private function load(string $class): void
    {
        $file = match (true) {
            str_starts_with($class, 'Linguator\Core\\') => $this->root.'/core/src/'.strtr(substr($class, strlen('Linguator\Core\\')), '\\', '/').'.php',
            str_starts_with($class, 'App\Console\\') => __DIR__.'/'.strtr(substr($class, strlen('App\Console\\')), '\\', '/').'.php',
            default => null,
        };
        if ($file !== null) {
            is_file($file) && require $file;

            return;
        }
        (require "$this->root/vendor/autoload.php")->loadClass($class);
    }
}
