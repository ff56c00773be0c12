<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Bind;

use Linguator\Core\Bind\Candidates;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** This combination was tried, and bound or did not. */
final readonly class LogAttempt implements Intent
{
    /** @param  Node  $told  As the document keeps it, without when. */
    public function __construct(private Node $told)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told);
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $number = $this->told->intOrNull('hop') ?? 1;
        $hop = (new BindReview($rig))->hopAt($number);
        self::mustBeOneOf($this->told->text('variant'), $hop->variants, 'variant');
        self::mustBeOneOf($this->told->text('channel_mode'), $hop->channelModes, 'channel_mode');
        $attempt = (object) (['at' => $occasion->at, 'hop' => $number] + array_filter(get_object_vars($this->told->value), static fn (mixed $value): bool => $value !== null && $value !== ''));

        return new Deed(RigPatch::of($this->told->flag('bound') ? $this->bound($rig, $number) : [])->adding('attempts', [$attempt]), $this->sentence(), EntryKind::Attempt);
    }

    /**
     * What bound is how the chain is joined from now on, and how many channels are sent.
     *
     * @return array<string, mixed> By place.
     */
    private function bound(RigDocument $rig, int $hop): array
    {
        $link = (new BindReview($rig))->link($hop);
        if ($link === null) {
            return [];
        }
        $variant = $this->told->text('variant');
        $mode = $this->told->text('channel_mode');
        $via = $variant === Candidates::AUTO || $link->sent === null || $variant === $link->sent->family ? $link->via : "{$link->sent->family}/$variant";
        $isIt = static fn (Node $item): bool => $item->text('from') === $link->from->id() && $item->text('to') === $link->to->id();
        $kept = [];
        foreach ($rig->settings()->nodes('links') as $item) {
            $kept = $isIt($item) ? get_object_vars($item->node('settings')->value ?? new \stdClass) : $kept;
        }
        if (ctype_digit($mode[0] ?? '')) {
            $kept['channel_mode'] = $mode;
        }
        $values = ['via' => $via] + ($kept === [] ? [] : ['settings' => (object) $kept]);

        return Items::of($rig, 'settings.links')->put($isIt, $values, ['from' => $link->from->id(), 'to' => $link->to->id()])->set();
    }

    private function sentence(): string
    {
        $mode = $this->told->text('channel_mode');
        $channels = ctype_digit($mode[0] ?? '') ? ", channels $mode" : '';

        return ($this->told->flag('bound') ? 'Bound: ' : 'Did not bind: ').$this->told->text('variant').$channels.sprintf(', at %g m', $this->told->number('distance_m'));
    }

    /** @param  list<string>  $names */
    private static function mustBeOneOf(string $name, array $names, string $path): void
    {
        if (! in_array($name, $names, true)) {
            throw DocumentError::at($path, 'Found '.Excerpt::of($name).'; expected one of '.implode(', ', $names).'.', 'not_listed');
        }
    }
}
