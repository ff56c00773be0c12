<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Card;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Gear\CardReader;
use Linguator\Core\Gear\Shelf;
use Linguator\Core\Practice\AutoPlay;
use Linguator\Core\Practice\Game;
use Linguator\Core\Practice\Level;
use Linguator\Core\Rig\RigReader;
use Symfony\Component\Console\Output\OutputInterface;

/** A game of practice played through by itself, one line of JSON for every step. */
final class PracticeCommand extends Command
{
    private const BAD_INPUT = 2;

    /** @var string */
    protected $signature = 'linguator:practice
        {--seed= : Letters, digits and dashes: the same hides the same}
        {--rig= : A file with a rig document}
        {--level=plain : plain, subtle or two}
        {--play=auto : auto: as diagnose asks}';

    /** @var string */
    protected $description = 'Hides a fault in a rig and finds it again, step by step as JSON lines.';

    public function handle(Schemas $schemas, CardReader $cards, Formats $formats): int
    {
        $reader = new RigReader($schemas, $this->shelf($cards));
        try {
            $level = Level::tryFrom($this->told('level')) ?? throw DocumentError::at('level', 'Found '.Excerpt::of($this->told('level')).'; expected plain, subtle or two.');
            if ($this->told('play') !== 'auto') {
                throw DocumentError::at('play', 'Found '.Excerpt::of($this->told('play')).'; expected auto.');
            }
            $seed = $this->told('seed');
            if (preg_match('/^[A-Za-z0-9-]{1,40}$/D', $seed) !== 1) {
                throw DocumentError::at('seed', 'Found '.Excerpt::of($seed).'; expected 1 to 40 letters, digits and dashes.');
            }
            foreach (AutoPlay::through(Game::draw($reader->fromText($this->file()), $seed, $level, $formats)) as $line) {
                $this->say($line);
            }
        } catch (DocumentError $error) {
            $this->output->write(Json::pretty($error->told()), false, OutputInterface::OUTPUT_RAW);

            return self::BAD_INPUT;
        }

        return self::SUCCESS;
    }

    /** That of the bench; where there is none, or the card is not on it, the demo's. */
    private function shelf(CardReader $cards): Shelf
    {
        return new Shelf(static function (string $id) use ($cards): ?\stdClass {
            try {
                $card = Card::documentOf($id);
            } catch (QueryException) {
                $card = null;
            }
            foreach ($card === null ? glob(config()->string('linguator.demo').'/gear/*.yaml') ?: [] : [] as $file) {
                foreach ($cards->fromText((string) file_get_contents($file)) as $gear) {
                    $card = $gear->id === $id ? $gear->document : $card;
                }
            }

            return $card;
        });
    }

    private function told(string $option): string
    {
        $told = $this->option($option);

        return is_string($told) ? $told : '';
    }

    /** @throws DocumentError at `rig`. */
    private function file(): string
    {
        $path = $this->told('rig');
        $text = $path !== '' && is_file($path) && is_readable($path) ? file_get_contents($path) : false;

        return $text === false ? throw DocumentError::at('rig', $path === '' ? 'No file was told; expected --rig=FILE.' : 'The file '.Excerpt::of($path).' cannot be read.', 'no_file') : $text;
    }

    private function say(\stdClass $line): void
    {
        $this->output->write(Json::compact(Plain::of($line))."\n", false, OutputInterface::OUTPUT_RAW);
    }
}
