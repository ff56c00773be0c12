<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\DemoBench;
use App\Models\Card;
use App\Models\Rig;
use Illuminate\Console\Command;

/** Loads the demo bench through the same import as a user's files. */
final class DemoCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:demo {--if-empty : Only on a bench with nothing on it}';

    /** @var string */
    protected $description = 'Loads the Saltmarsh demo bench.';

    public function handle(DemoBench $demo): int
    {
        if ($this->option('if-empty') && (Card::query()->exists() || Rig::query()->exists())) {
            return self::SUCCESS;
        }
        foreach ($demo->load() as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }
}
