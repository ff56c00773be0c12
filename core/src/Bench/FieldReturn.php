<?php

declare(strict_types=1);

namespace Linguator\Core\Bench;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Node;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/**
 * What came back from the field. Each check is made on the rig as it was when its pack was made, so it is kept with the settings it was made with:
 * where the rig has changed since, it is stale by itself.
 */
final readonly class FieldReturn
{
    /** @param  Node  $told  As `field-return.schema.json` has it. */
    private function __construct(private Node $told)
    {
    }

    /** @throws DocumentError if it is none, with its place. */
    public static function read(string $text, Schemas $schemas): self
    {
        // Copied out of a message it may stand between other words.
        $from = strpos($text, '{');
        $to = strrpos($text, '}');
        $json = $from === false || $to === false || $to < $from ? $text : substr($text, $from, $to - $from + 1);

        return new self(new Node($schemas->check(Json::decode($json), 'field-return.schema.json')));
    }

    public function uid(): string
    {
        return $this->told->text('uid');
    }

    public function position(): int
    {
        return $this->told->int('position');
    }

    public function note(): string
    {
        return trim($this->told->text('note'));
    }

    /**
     * @return list<array{name: string, content: string}>
     *
     * @throws DocumentError at one that is no picture.
     */
    public function photos(): array
    {
        $photos = [];
        foreach ($this->told->nodes('photos') as $k => $photo) {
            $content = base64_decode($photo->text('base64'), true);
            $photos[] = ['name' => $photo->text('name'), 'content' => is_string($content) && $content !== '' ? $content : throw DocumentError::at("photos.$k.base64", 'Found something that is no picture.')];
        }

        return $photos;
    }

    /**
     * Each thing seen, with what becomes of it: none is written that is here already.
     *
     * @param  \stdClass  $then  The rig's document when the pack was made.
     * @param  string  $at  Now, as documents have it: a phone's clock may be wrong, and nothing was seen before the pack was made or after it came back.
     * @return list<FieldLine>
     *
     * @throws DocumentError if the rig was another one then, or something was seen that could not be.
     */
    public function lines(RigDocument $now, \stdClass $then, Intents $intents, string $at): array
    {
        if (FieldPack::state($then) !== $this->told->text('state')) {
            throw DocumentError::at('state', 'This pack was made of a state of the rig that this bench does not have: its history was another one.', 'another_history');
        }
        $lines = [];
        foreach ($this->told->nodes('seen') as $k => $seen) {
            try {
                $intent = $intents->read($seen->text('intent'), $seen->node('told')->value ?? new \stdClass);
                $deed = $intent->on(RigDocument::of($then), new Occasion(min($at, max($seen->text('at'), $this->told->text('made_at'))), Shelf::none()));
            } catch (DocumentError $error) {
                throw $error->inside("seen.$k.told");
            }
            $lines[] = FieldLine::of($now, $deed);
        }

        return $lines;
    }

    /**
     * What is new of it as one change to the rig as it is now; null: nothing is.
     *
     * @param  list<FieldLine>  $lines
     */
    public function deed(array $lines): ?Deed
    {
        $new = array_values(array_filter($lines, static fn (FieldLine $line): bool => ! $line->isHere));
        if ($new === [] && $this->note() === '' && $this->photos() === []) {
            return null;
        }
        $patch = RigPatch::of([]);
        foreach ($new as $line) {
            $patch = $patch->and($line->deed->patch);
        }
        $said = [...array_map(static fn (FieldLine $line): string => $line->deed->sentence, $new), ...($this->note() === '' ? [] : [$this->note()])];

        return new Deed($patch, 'From the field: '.($said === [] ? 'pictures' : implode('; ', $said)), $new === [] ? EntryKind::Note : EntryKind::Test);
    }

    /**
     * The same lines, as each would stand once all are written.
     *
     * @param  list<FieldLine>  $lines
     * @return list<\stdClass>
     */
    public function preview(RigDocument $now, array $lines): array
    {
        $deed = $this->deed($lines);
        $after = $deed === null ? $now : RigDocument::of($deed->patch->apply($now->document)->document);
        $review = (object) Plain::object((new RigReview($after))->shown());

        return array_map(static fn (FieldLine $line): \stdClass => $line->shown($review), $lines);
    }
}
