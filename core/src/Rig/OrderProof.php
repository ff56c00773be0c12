<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/**
 * Whether the order was seen to be right, and whether that still holds:
 * a check holds only for the settings it was made with, and the difference is the explanation.
 */
final readonly class OrderProof
{
    private const NAMES = [
        'order' => "the handset's order",
        'controller_order' => "the controller's order",
        'remap' => 'remapping in the module',
        'plugs' => 'where the plugs go',
    ];

    /** @param  list<string>  $reasons Why it is stale. */
    private function __construct(public string $state, public ?string $at, public ?string $observed, public array $reasons)
    {
    }

    public static function of(RigDocument $rig, OrderReview $order): self
    {
        $last = null;
        foreach ($rig->node()->nodes('checks') as $check) {
            $last = $check->text('check') === 'order' ? $check : $last;
        }
        if ($last === null) {
            return new self('open', null, null, []);
        }
        $reasons = self::reasons($last->node('made_with'), $order->settingsNow());
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
                $reasons[] = self::NAMES[$key].' changed'.(is_string($value) && is_string($madeWith->get($key)) ? " from {$madeWith->get($key)} to $value" : '');
            }
        }

        return $reasons;
    }
}
