<?php

declare(strict_types=1);

namespace App\Console;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Verb\Verbs;

/** One question of a verb on the command line: read, answered, printed. No part of the framework. */
final class VerbRun
{
    public const BAD_INPUT = 2;

    private const FAULT = 1;

    /** What came in on standard input: it can be read once. */
    private static ?string $input = null;

    /**
     * @param  callable(): array<string, mixed>  $answer
     * @param  (callable(string): void)|null  $write  Null: to standard output.
     * @return int The exit status: 0, or 2 for bad input.
     */
    public static function print(callable $answer, ?callable $write = null): int
    {
        try {
            [$document, $status] = [$answer(), 0];
        } catch (DocumentError $error) {
            [$document, $status] = [$error->told(), self::BAD_INPUT];
        } catch (\Throwable $error) {
            fwrite(STDERR, "$error\n");
            [$document, $status] = [['error' => ['code' => 'failed', 'message' => 'Something went wrong here; this is a fault of Linguator\'s.', 'path' => '']], self::FAULT];
        }
        $text = Json::pretty($document);
        if ($write !== null) {
            $write($text);
        } elseif (@fwrite(STDOUT, $text) !== strlen($text)) {
            fwrite(STDERR, "The answer could not be written to its end: there is no room for it, or nobody reads it.\n");

            return self::BAD_INPUT;
        }

        return $status;
    }

    /** @throws DocumentError if there is no such file. Of one too large so much is read that it shows. */
    public static function text(?string $file): string
    {
        $text = $file === null || $file === '-'
            ? self::$input ??= (string) stream_get_contents(STDIN, Verbs::MAX_BYTES + 1)
            : (is_file($file) ? @file_get_contents($file, false, null, 0, Verbs::MAX_BYTES + 1) : false);
        if ($text === false) {
            throw new DocumentError('no_such_file', "The file \"$file\" cannot be read.");
        }

        return $text;
    }
}
