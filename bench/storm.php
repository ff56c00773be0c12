<?php

declare(strict_types=1);

const CLIENTS = 4;

/**
 * Round trips over HTTP while CLIENTS ask at once.
 *
 * @param  string|null  $body  Posted; null asks with GET.
 * @return list<float> Milliseconds of every round trip, shortest first.
 */
function storm(string $address, ?string $body, int $asked): array
{
    $multi = curl_multi_init();
    $times = [];
    $left = $asked;
    $start = static function () use (&$left, $multi, $address, $body): void {
        if ($left-- <= 0) {
            return;
        }
        $handle = curl_init($address);
        curl_setopt_array($handle, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json']] + ($body === null ? [] : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body]));
        curl_multi_add_handle($multi, $handle);
    };
    for ($k = 0; $k < CLIENTS; $k++) {
        $start();
    }
    do {
        curl_multi_exec($multi, $running);
        while ($done = curl_multi_info_read($multi)) {
            $handle = $done['handle'];
            if (curl_getinfo($handle, CURLINFO_RESPONSE_CODE) !== 200) {
                fwrite(STDERR, "$address: ".curl_multi_getcontent($handle)."\n");
                exit(1);
            }
            $times[] = curl_getinfo($handle, CURLINFO_TOTAL_TIME) * 1000;
            curl_multi_remove_handle($multi, $handle);
            $start();
            $running = 1;
        }
        curl_multi_select($multi, 0.01);
    } while ($running > 0 || count($times) < $asked);

    sort($times);

    return $times;
}

/**
 * @param  list<float>  $times  Shortest first.
 * @return array{float, float} p50 and p95.
 */
function middleAndSlow(array $times): array
{
    return [$times[(int) (count($times) * 0.5)], $times[(int) (count($times) * 0.95)]];
}
