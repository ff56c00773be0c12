<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

use Linguator\Core\Channel\Functions;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\CardRules;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Converter;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Handset;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\Receiver;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Supply\Pack;

/** What is to be joined: a handset and a craft, with everything on the shelf to choose from. */
final readonly class PlanRequest
{
    /**
     * @param  array<string, Box>  $shelf  By id.
     * @param  positive-int  $channels
     * @param  list<Controller>  $controllers  Those that must stand before the craft, in this sequence.
     * @param  list<string>  $mustModules  Ids of modules that must be there.
     * @param  list<string>  $mustReceivers
     * @param  Functions|null  $functions  Null: not told.
     * @param  Pack|null  $pack  Null: not known.
     */
    private function __construct(
        public array $shelf,
        public Handset $handset,
        public Controller|ServoSet $craft,
        public int $channels,
        public bool $allowRelay,
        public array $controllers,
        public array $mustModules,
        public array $mustReceivers,
        public ?Functions $functions,
        public ?Pack $pack,
    ) {
    }

    /**
     * @param  \stdClass  $input  One that has passed the schema of the verb's input.
     *
     * @throws DocumentError if an id stands twice on the shelf, or something named is not there or of the wrong kind.
     */
    public static function fromDocument(\stdClass $input): self
    {
        $node = new Node($input);
        $shelf = self::shelf($node);
        $handset = $shelf[$node->text('handset')] ?? null;
        if (! $handset instanceof Handset) {
            throw self::notThere('handset', $node->text('handset'), $handset, 'a handset');
        }
        $craft = $shelf[$node->text('craft')] ?? null;
        if (! $craft instanceof Controller && ! $craft instanceof ServoSet) {
            throw self::notThere('craft', $node->text('craft'), $craft, 'a controller or a servo set');
        }
        $through = self::through($node, $shelf);
        $pack = $node->node('pack');

        return new self(
            $shelf,
            $handset,
            $craft,
            max(1, $node->int('channels')),
            $node->flag('allow_relay'),
            array_values(array_filter($through, static fn (Box $box): bool => $box instanceof Controller && $box->id() !== $craft->id())),
            self::idsOf($through, Module::class),
            self::idsOf($through, Receiver::class),
            self::functions($node),
            Pack::orNull($pack) ?? $handset->pack,
        );
    }

    public function context(): JoinContext
    {
        return new JoinContext($this->channels, $this->handset, $this->pack);
    }

    /** @return list<Module> */
    public function modules(): array
    {
        return array_values(array_filter($this->shelf, static fn (Box $box): bool => $box instanceof Module));
    }

    /** @return list<Receiver> */
    public function receivers(): array
    {
        return array_values(array_filter($this->shelf, static fn (Box $box): bool => $box instanceof Receiver));
    }

    /** @return list<Converter> */
    public function converters(): array
    {
        return array_values(array_filter($this->shelf, static fn (Box $box): bool => $box instanceof Converter));
    }

    /** @return array<string, Box> */
    private static function shelf(Node $node): array
    {
        $shelf = [];
        foreach ($node->nodes('shelf') as $k => $document) {
            $card = GearCard::of($document->value);
            if (isset($shelf[$card->id])) {
                throw DocumentError::at("shelf.$k.id", "The id \"$card->id\" stands on the shelf twice; expected each once.", 'duplicate_id');
            }
            try {
                CardRules::check($card);
            } catch (DocumentError $error) {
                throw $error->inside("shelf.$k");
            }
            $shelf[$card->id] = $card->box();
        }

        return $shelf;
    }

    /**
     * @param  array<string, Box>  $shelf
     * @return array<string, Box> Each once, in the sequence given.
     */
    private static function through(Node $node, array $shelf): array
    {
        $through = [];
        foreach ($node->texts('through') as $k => $id) {
            $box = $shelf[$id] ?? null;
            if (! $box instanceof Controller && ! $box instanceof Module && ! $box instanceof Receiver) {
                throw self::notThere("through.$k", $id, $box, 'a module, a receiver or a controller');
            }
            $through[$id] = $box;
        }

        return $through;
    }

    private static function functions(Node $node): ?Functions
    {
        if (! $node->has('functions')) {
            return null;
        }
        foreach ($node->nodes('functions') as $k => $entry) {
            if ($entry->int('channel') > $node->int('channels')) {
                throw DocumentError::at("functions.$k.channel", sprintf('Found channel %d; expected at most %d, the number of channels sent.', $entry->int('channel'), $node->int('channels')));
            }
        }

        return Functions::fromNodes($node->nodes('functions'));
    }

    /**
     * @param  array<string, Box>  $boxes
     * @param  class-string<Box>  $class
     * @return list<string>
     */
    private static function idsOf(array $boxes, string $class): array
    {
        return array_values(array_map(
            static fn (Box $box): string => $box->id(),
            array_filter($boxes, static fn (Box $box): bool => $box instanceof $class),
        ));
    }

    private static function notThere(string $path, string $id, ?Box $found, string $expected): DocumentError
    {
        return $found === null
            ? DocumentError::at($path, "No card \"$id\" is on the shelf; expected the id of $expected.", 'not_on_shelf')
            : DocumentError::at($path, "The card \"$id\" is a {$found->kind()->label()}; expected $expected.", 'wrong_kind');
    }
}
