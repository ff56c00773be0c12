<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/**
 * Whether the latest check of a kind still holds: a check holds only for the settings it was made with,
 * and the difference is the explanation.
 */
final readonly class CheckState
{
    /**
     * @param  string  $state  open, holds, stale or failed.
     * @param  list<string>  $reasons  Why it is stale.
     */
    private function __construct(
        public string $state,
        public ?string $at = null,
        public ?string $by = null,
        public ?string $observed = null,
        public array $reasons = [],
    ) {
    }

    /** The latest check of a kind; of a hop, if one is named. */
    public static function of(RigDocument $rig, string $kind, ?int $hop = null): self
    {
        $last = null;
        foreach ($rig->node()->nodes('checks') as $check) {
            $last = $check->text('check') === $kind && ($hop === null || ($check->intOrNull('hop') ?? 1) === $hop) ? $check : $last;
        }
        if ($last === null) {
            return new self('open');
        }
        $reasons = self::reasons($rig, $last->node('made_with'), $hop ?? 1);
        $state = $last->text('result') === 'fail' ? 'failed' : ($reasons === [] ? 'holds' : 'stale');

        return new self($state, $last->textOrNull('at'), $last->textOrNull('by'), $last->textOrNull('observed'), $reasons);
    }

    /**
     * A state that is not that of a check: of what was set, or of a sign-off.
     *
     * @param  list<string>  $reasons
     */
    public static function told(string $state, ?string $at, ?string $by = null, ?string $observed = null, array $reasons = []): self
    {
        return new self($state, $at, $by, $observed, $reasons);
    }

    /** @return list<string> Why something made with these settings holds no longer. */
    public static function reasons(RigDocument $rig, ?Node $madeWith, int $hop = 1): array
    {
        if ($madeWith === null || get_object_vars($madeWith->value) === []) {
            return ['it was made with settings nobody recorded'];
        }
        $settings = $rig->dependent();

        return array_map(static fn (string $key): string => $settings->reason($key, $madeWith, $hop), $settings->differences($madeWith, $hop));
    }

    public function holds(): bool
    {
        return $this->state === 'holds';
    }

    /** @return array{state: string, at: string|null, by: string|null, observed: string|null, reasons: list<string>} */
    public function toArray(): array
    {
        return ['state' => $this->state, 'at' => $this->at, 'by' => $this->by, 'observed' => $this->observed, 'reasons' => $this->reasons];
    }
}
