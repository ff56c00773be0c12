<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\Formats;
use Linguator\Core\Verb\Services;
use Linguator\Core\Verb\Verbs;

/** The verb `decode`, asked of a capture. */
final class Decode
{
    /**
     * @param  list<FormatCard>  $own
     * @return array<string, mixed>
     */
    public static function answer(Source $capture, \stdClass $options, array $own = []): array
    {
        return (new Verbs(new Schemas, new Services(Formats::with(static fn (): array => $own), $capture)))->ask(Verbs::DECODE, $options);
    }
}
