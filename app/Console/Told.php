<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Trouble;
use Illuminate\Console\OutputStyle;
use Linguator\Core\Document\DocumentError;

/** What commands say while they work, and when they cannot. */
final class Told
{
    /** So many steps are told of a long work. */
    private const STEPS = 20;

    /** One sentence, with its place. */
    public static function sentence(\Throwable $error): string
    {
        if ($error instanceof DocumentError) {
            $place = ($error->sourceLine === null ? '' : ", line $error->sourceLine").($error->path === '' || $error->path === 'file' ? '' : " at $error->path");

            return ($place === '' ? '' : ltrim("$place: ", ', ')).$error->getMessage();
        }

        return Trouble::of($error)->sentence ?? $error->getMessage();
    }

    /** @return \Closure(int $done, int $of): void Tells how far it is on standard error, now and then. */
    public static function progress(OutputStyle $output): \Closure
    {
        $told = -1;

        return static function (int $done, int $of) use ($output, &$told): void {
            $step = $of === 0 ? self::STEPS : intdiv($done * self::STEPS, $of);
            if ($step !== $told) {
                $told = $step;
                $output->getErrorStyle()->write(sprintf("\r%d of %d", $done, $of));
            }
        };
    }
}
