<?php

declare(strict_types=1);

return [
    // Where the demo bench lies; `linguator:demo` loads it through the same import as a user's files.
    'demo' => base_path('demo'),
];
