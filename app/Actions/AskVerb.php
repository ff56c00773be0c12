<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Format;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Verb\EncodeVerb;
use Linguator\Core\Verb\Verbs;

/** Asks a verb; a format of the user's may be named where a shipped one may: its card stands in for it. */
final readonly class AskVerb
{
    public function __construct(private Verbs $verbs)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public function __invoke(string $verb, string $json): array
    {
        $document = Verbs::read($json);
        $format = $verb === EncodeVerb::name() && $document instanceof \stdClass ? $document->format ?? null : null;
        $own = is_string($format) && FormatCards::get($format) === null ? Format::named($format) : null;
        if ($own !== null && $document instanceof \stdClass && ! isset($document->card)) {
            unset($document->format);
            $document->card = Json::decode($own->document);
        }

        return $this->verbs->ask($verb, $document);
    }
}
