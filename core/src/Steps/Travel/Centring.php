<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Travel;

/** Where a centre that is off is mended. */
enum Centring: string
{
    case Subtrim = 'subtrim';
    case Controller = 'controller';

    /** As the history tells it. */
    public function sentence(): string
    {
        return match ($this) {
            self::Subtrim => 'Centres are mended by sub-trim',
            self::Controller => 'Centres are mended in the controller',
        };
    }
}
