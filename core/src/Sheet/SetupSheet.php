<?php

declare(strict_types=1);

namespace Linguator\Core\Sheet;

use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Readiness\ReadinessReview;
use Linguator\Core\Rig\BindReview;
use Linguator\Core\Rig\ChainReview;
use Linguator\Core\Rig\CheckState;
use Linguator\Core\Rig\Day;
use Linguator\Core\Rig\FailsafeShown;
use Linguator\Core\Rig\OrderReview;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Rig\SwitchReview;
use Linguator\Core\Rig\TravelReview;
use Linguator\Core\Rig\WiringReview;

/** What stands on a rig's set-up sheet: content only, in the order in which it is used at the bench. */
final readonly class SetupSheet
{
    private SettingNames $names;

    public function __construct(
        private RigDocument $rig,
        private ChainReview $chain,
        private OrderReview $order,
        private WiringReview $wiring,
        private BindReview $bind,
        private TravelReview $travel,
        private SwitchReview $switches,
        private FailsafeReview $failsafe,
        private ReadinessReview $readiness,
    ) {
        $this->names = new SettingNames($rig);
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    public function sections(): array
    {
        if ($this->rig->boxes === []) {
            return [];
        }
        $sections = array_map($this->box(...), $this->rig->boxes);
        array_push($sections, ...$this->plugs(), ...$this->power(), ...$this->functions(), ...$this->set(), ...$this->loss(), ...$this->switchOn(), ...$this->proven());

        return array_values(array_filter($sections, static fn (array $section): bool => $section['rows'] !== []));
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function set(): array
    {
        return $this->chain->joins() ? (new SetSections($this->bind, $this->travel, $this->switches))->all() : [];
    }

    /** @return array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>} */
    private function box(Box $box): array
    {
        $rows = [];
        if ($box instanceof Handset) {
            $rows[] = $this->row('stick_mode', 'Stick mode', (string) ($this->stickMode() ?? 'not said'), $this->stickMode() === null ? 'open' : 'known');
            $rows[] = $this->row('order', $this->names->name($box->id(), 'order'), $this->rig->handsetOrder() === null ? 'not known' : $this->names->value('order', $this->rig->handsetOrder()->toString()));
        }
        foreach ($this->chain->changes() as $change) {
            if ($change['box'] === $box->id()) {
                $rows[] = $this->row("{$change['box']}/{$change['setting']}", $change['name'], $change['value'], $change['done'] ? 'known' : 'open');
            }
        }
        foreach ($this->order->modules as $entry) {
            if ($entry['module']->id === $box->id()) {
                $rows[] = $this->row("{$box->id()}/remap", $this->names->name($box->id(), 'remap'), $entry['on'] ? 'on' : 'off');
            }
        }
        if ($box instanceof Controller && $this->order->reader?->controller === $box) {
            $rows[] = $this->row('controller_order', $this->names->name($box->id(), 'order'), $this->names->value('order', $this->order->reader->order->toString()));
        }
        if ($rows === [] && ($box instanceof Module || $box instanceof Receiver)) {
            $rows[] = $this->row("{$box->id()}/as_delivered", 'Settings', 'as delivered');
        }

        return ['title' => ucfirst($box->kind()->label()).': '.$box->name(), 'rows' => $rows];
    }

    private function stickMode(): ?int
    {
        $card = $this->rig->cards[0] ?? null;

        return $this->rig->settings()->intOrNull('stick_mode') ?? $card?->node()->node('sticks')?->intOrNull('mode');
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function plugs(): array
    {
        return array_map(fn (array $wire): array => [
            'title' => "Wires: {$wire['from_name']} to {$wire['to_name']}",
            'rows' => array_map(fn (array $row): array => $this->row(
                'wire/'.$row['key'],
                ucfirst($row['from_pin']),
                $row['to_pin'].($row['note'] === null ? '' : ", {$row['note']}"),
            ), $wire['rows']),
        ], $this->wiring->wires());
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function power(): array
    {
        $pack = $this->rig->pack();
        $rows = $pack === null ? [] : [
            $this->row('pack', 'Handset pack', $pack->label()),
            $this->row('alarm', 'Alarm', sprintf('%g V', $pack->low())),
            $this->row('meter', 'Meter', sprintf('%g to %g V', $pack->meterFrom(), $pack->full())),
        ];
        foreach ($this->wiring->power() as $power) {
            $state = ['ok' => 'known', 'check' => 'open'][$power['severity']] ?? 'attention';
            $rows[] = $this->row('power/'.$power['name'], $power['name'], "{$power['from']}; takes {$power['takes']}".($state === 'attention' ? ". {$power['message']}" : ''), $state);
        }

        return [['title' => 'Power', 'rows' => $rows]];
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function functions(): array
    {
        $rows = [];
        $isCounted = array_filter($this->rig->boxes, static fn (Box $box): bool => $box instanceof Controller) !== [];
        foreach ($this->rig->functions() ?? [] as $entry) {
            $aux = $isCounted && $entry['channel'] > 4 ? ', auxiliary '.($entry['channel'] - 4).' at the controller' : '';
            $rows[] = $this->row("function/{$entry['function']}", "Channel {$entry['channel']}", $entry['function'].$aux);
        }

        return [['title' => 'Channels at the handset', 'rows' => $rows]];
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function loss(): array
    {
        $rows = [];
        foreach ($this->chain->joins() ? (new FailsafeShown($this->rig, $this->failsafe))->hops() : [] as $hop) {
            assert(is_int($hop['hop']) && is_string($hop['receiver']) && is_string($hop['mode_says']) && is_string($hop['says']));
            $state = in_array($hop['severity'], ['ok', 'check'], true) ? 'known' : 'attention';
            $rows[] = $this->row("loss/{$hop['hop']}/mode", $hop['receiver'], $hop['mode_says'], $hop['is_set'] === true ? 'known' : 'open');
            $rows[] = $this->row("loss/{$hop['hop']}/says", 'The craft', lcfirst($hop['says']), $state);
        }

        return [['title' => 'If the link is lost', 'rows' => $rows]];
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function switchOn(): array
    {
        $rows = [];
        foreach ($this->chain->joins() ? $this->wiring->switchOn() : [] as $k => $step) {
            $rows[] = $this->row("on/$k", (string) ($k + 1), $step);
        }

        return [['title' => 'Switching on and off', 'rows' => $rows]];
    }

    /** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
    private function proven(): array
    {
        if (! $this->chain->joins()) {
            return [];
        }
        $rows = [$this->row('wired', 'Wiring', $this->wiring->isWired() ? 'as above' : 'not yet', $this->wiring->isWired() ? 'known' : 'open')];
        foreach ($this->readiness->states() as $check) {
            if ($check['required']) {
                [$text, $state] = self::proof($check['state']);
                $hop = $check['hop'] === null || count($this->failsafe->hops) < 2 ? '' : ", hop {$check['hop']}";
                $rows[] = $this->row("proven/{$check['kind']->value}/{$check['hop']}", $check['kind']->title().$hop, $text, $state);
            }
        }
        $signOff = $this->readiness->signOff();
        $signed = $signOff->at === null ? 'not yet' : Day::of($signOff->at)." by $signOff->by".($signOff->holds() ? '' : '; no longer: '.implode(', ', $signOff->reasons));
        $rows[] = $this->row('signed', 'Signed off', $signed, $signOff->holds() ? 'known' : ($signOff->at === null ? 'open' : 'attention'));

        return [['title' => 'Proven', 'rows' => $rows]];
    }

    /** @return array{string, string} What to say of a check, and its state. */
    private static function proof(CheckState $proof): array
    {
        return match ($proof->state) {
            'holds' => [$proof->at === null ? ($proof->observed ?? 'holds') : Day::of($proof->at), 'known'],
            'stale' => ['stale: '.implode(', ', $proof->reasons), 'attention'],
            'failed' => ['failed on '.Day::of($proof->at), 'attention'],
            default => ['not yet', 'open'],
        };
    }

    /** @return array{key: string, label: string, value: string, state: string} */
    private function row(string $key, string $label, string $value, string $state = 'known'): array
    {
        return ['key' => $key, 'label' => $label, 'value' => $value, 'state' => $state];
    }
}
