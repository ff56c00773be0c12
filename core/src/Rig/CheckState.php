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
    private const NAMES = [
        'order' => "the handset's order",
        'controller_order' => "the controller's order",
        'remap' => 'remapping in the module',
        'plugs' => 'where the plugs go',
        'receiver' => 'the receiver',
        'receiver_number' => 'the receiver number',
        'variant' => 'the protocol',
        'channel_mode' => 'how many channels are sent',
    ];

    /**
     * @param  string  $state  open, holds, stale or failed.
     * @param  list<string>  $reasons  Why it is stale.
     */
    private function __construct(public string $state, public ?string $at, public ?string $observed, public array $reasons)
    {
    }

    /** @param  array<string, mixed>  $now  The settings such a check depends on, as they are. */
    public static function of(RigDocument $rig, string $kind, ?int $hop, array $now): self
    {
        $last = null;
        foreach ($rig->node()->nodes('checks') as $check) {
            $last = $check->text('check') === $kind && ($hop === null || ($check->intOrNull('hop') ?? 1) === $hop) ? $check : $last;
        }
        if ($last === null) {
            return new self('open', null, null, []);
        }
        $reasons = self::reasons($last->node('made_with'), $now);
        $state = $last->text('result') === 'fail' ? 'failed' : ($reasons === [] ? 'holds' : 'stale');

        return new self($state, $last->textOrNull('at'), $last->textOrNull('observed'), $reasons);
    }

    public function holds(): bool
    {
        return $this->state === 'holds';
    }

    /** @return array{state: string, at: string|null, observed: string|null, reasons: list<string>} */
    public function toArray(): array
    {
        return ['state' => $this->state, 'at' => $this->at, 'observed' => $this->observed, 'reasons' => $this->reasons];
    }

    /**
     * @param  array<string, mixed>  $now
     * @return list<string>
     */
    private static function reasons(?Node $madeWith, array $now): array
    {
        if ($madeWith === null) {
            return ['it was made with settings nobody recorded'];
        }
        $reasons = [];
        foreach ($now as $key => $value) {
            if ($madeWith->has($key) && ! RigPatch::same($madeWith->get($key), $value)) {
                $reasons[] = (self::NAMES[$key] ?? $key).' changed'.(is_string($value) && is_string($madeWith->get($key)) ? " from {$madeWith->get($key)} to $value" : '');
            }
        }

        return $reasons;
    }
}
