<?php

declare(strict_types=1);

namespace App\Actions;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Rig\RigReader;

/** Takes in one file, whichever kind of document it holds. */
final readonly class ImportFile
{
    public function __construct(private CardReader $cards, private RigReader $rigs, private SaveCards $saveCards, private ImportRig $importRig)
    {
    }

    /**
     * @return string What came of it, in a few words.
     *
     * @throws DocumentError
     */
    public function __invoke(string $text, bool $replace = false): string
    {
        // Only a rig document says which version of Linguator's documents it is.
        if (preg_match('/^\s*\{?\s*"?linguator"?\s*:/m', $text) === 1) {
            return 'rig '.($this->importRig)($this->rigs->fromText($text))->slug;
        }
        $report = $this->saveCards->import($this->cards->fromText($text), $replace);

        return implode(', ', array_map(static fn (string $what, array $ids): string => count($ids)." $what", array_keys($report), $report));
    }
}
