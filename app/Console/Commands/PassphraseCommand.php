<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Club\Passphrase;
use Illuminate\Console\Command;

/** Sets what opens the bench to the club's network, or says whether it is set. */
final class PassphraseCommand extends Command
{
    /** @var string */
    protected $signature = 'linguator:passphrase {--check : Only say whether one is set} {--clear : Forget it} {--stdin : Read it from the standard input}';

    /** @var string */
    protected $description = 'Sets the passphrase that opens this bench to a network.';

    public function handle(): int
    {
        $passphrase = Passphrase::here();
        if ($this->option('check')) {
            return $passphrase->isSet() ? self::SUCCESS : self::FAILURE;
        }
        if ($this->option('clear')) {
            $passphrase->clear();
            $this->line('Forgotten: this bench opens to no network any more.');

            return self::SUCCESS;
        }
        $told = $this->option('stdin') ? rtrim((string) fgets(STDIN), "\r\n") : $this->secret('Passphrase, at least '.Passphrase::SHORTEST.' characters');
        $problem = $passphrase->set(is_string($told) ? $told : '');
        $this->line($problem ?? 'Set. Open the bench to the network with: bin/start --club');

        return $problem === null ? self::SUCCESS : self::FAILURE;
    }
}
