<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Diagnosis\FaultTest;
use Linguator\Core\Diagnosis\Knowledge;
use Linguator\Core\Document\DataFile;

/** Causes and tests in words, for a screen that asks for one test after the other. */
final readonly class KnownFaults implements \JsonSerializable
{
    public function jsonSerialize(): \stdClass
    {
        $known = Knowledge::shipped();
        $tests = array_map(static fn (FaultTest $test): \stdClass => (object) [
            'id' => $test->id, 'asks' => $test->asks, 'how' => $test->how, 'minutes' => $test->minutes, 'risk' => $test->risk, 'needs' => $test->needs,
            'outcomes' => array_map(static fn (string $id, string $words): Choice => new Choice($id, $words), array_map(strval(...), array_keys($test->outcomes)), array_values($test->outcomes)),
        ], array_values($known->tests));

        return (object) ['tests' => $tests, 'findings' => DataFile::read('diagnosis/findings.yaml'), 'causes' => array_map($known->remedy(...), [...array_keys($known->causes), Knowledge::SOMETHING_ELSE])];
    }
}
