<?php

declare(strict_types=1);

namespace App\Console;

/** A command line of the plain kind: a command, at most one file, and options with `=`. Anything else is left to the framework. */
final readonly class CommandLine
{
    /** @param  array<string, string>  $options */
    private function __construct(public string $command, public ?string $file, public array $options)
    {
    }

    /** @param  list<string>  $arguments  Without the script's name. */
    public static function of(array $arguments): ?self
    {
        $command = array_shift($arguments);
        $files = array_values(array_filter($arguments, static fn (string $argument): bool => $argument === '-' || ! str_starts_with($argument, '-')));
        if ($command === null || str_starts_with($command, '-') || count($files) > 1) {
            return null;
        }
        $options = [];
        foreach (array_diff($arguments, $files) as $argument) {
            if (preg_match('/^--([a-z-]+)=(.*)$/Ds', $argument, $match) !== 1) {
                return null;
            }
            $options[$match[1]] = $match[2];
        }

        return new self($command, $files[0] ?? null, $options);
    }
}
