<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;

/** A rig's own id: by it a rig is known again, whatever it is called by now. */
final class RigIdentity
{
    private const LENGTH = 16;

    /**
     * The id in the document. One without, as older versions wrote them and hands do, gets it from how it began:
     * the same document gets the same id on every bench, and at every later moment of its history.
     */
    public static function of(\stdClass $document): string
    {
        return is_string($document->uid ?? null) ? $document->uid : self::fromBeginning($document);
    }

    private static function fromBeginning(\stdClass $document): string
    {
        $plain = clone $document;
        $log = array_values(array_filter(is_array($plain->log ?? null) ? $plain->log : [], static fn (mixed $entry): bool => $entry instanceof \stdClass));
        unset($plain->log, $plain->uid);
        // Told in one way only: an entry may tell of lists whole or by what differs.
        $first = $log === [] ? null : [$log[0]->at ?? null, $log[0]->kind ?? null, $log[0]->text ?? null];
        try {
            $began = $log === [] ? $plain : (new RigHistory($plain, new RigLog($log)))->at(-1);
        } catch (DocumentError) {
            // A history written by hand that does not belong to its document.
            $began = $plain;
        }

        return substr(hash('sha256', Json::compact(KeyOrder::canonical([$began, $first]))), 0, self::LENGTH);
    }
}
