<?php

/*
 * What PHP's own server asks first, at every request: files that ship with the application are handed out here, all else goes to Laravel.
 * Left to itself the server would hand files out to any host name and without a word on how they may be used.
 */
declare(strict_types=1);

umask(0077);
require_once dirname(__DIR__).'/app/Http/KnownHosts.php';

use App\Http\KnownHosts;

$public = dirname(__DIR__).'/public';
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'json' => 'application/json', 'png' => 'image/png', 'webmanifest' => 'application/manifest+json', 'map' => 'application/json'];

$told = parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);
$file = is_string($told) ? realpath($public.rawurldecode(str_replace("\0", '', $told))) : false;
$type = $file === false ? null : $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
if ($file === false || $type === null || ! is_file($file) || ! str_starts_with($file, $public.'/')) {
    $_SERVER['SCRIPT_NAME'] = '/index.php';
    $_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';
    require $public.'/index.php';

    return true;
}

$refusal = KnownHosts::refusal($_SERVER['HTTP_HOST'] ?? null, getenv('LINGUATOR_HOSTS') ?: '');
if ($refusal !== null) {
    http_response_code(421);
    header('Content-Type: text/plain; charset=utf-8');
    header('X-Content-Type-Options: nosniff');
    echo $refusal, "\n";

    return true;
}
header("Content-Type: $type".(str_starts_with($type, 'text/') ? '; charset=utf-8' : ''));
header('X-Content-Type-Options: nosniff');
header('Referrer-Policy: no-referrer');
header('Cross-Origin-Resource-Policy: same-origin');
// Names of built files tell their content; the browser's own store may keep them, no store in between.
header('Cache-Control: '.(str_starts_with($file, "$public/build/assets/") ? 'private, max-age=31536000, immutable' : 'private, no-cache'));
// The worker stands beside the files that it keeps, and works for the whole bench.
if ($file === "$public/build/sw.js") {
    header('Service-Worker-Allowed: /');
}
header('Content-Length: '.filesize($file));
if (($_SERVER['REQUEST_METHOD'] ?? 'GET') !== 'HEAD') {
    readfile($file);
}

return true;
