<?php

declare(strict_types=1);

return [
    // Which code runs here.
    'release' => App\Support\Release::of(base_path()),

    /* Opportunities up to which their steadiness is answered for at once; beyond that it is reckoned in the background. */
    'steadiness_at_once' => (int) env('REACH_STEADINESS_AT_ONCE', 100_000),

    // The hosts under which the application answers: loopback, the one of its address, and those named in REACH_HOSTS.
    'hosts' => array_values(array_unique(array_filter(array_map(
        static fn(string $host): string => mb_strtolower(trim($host)),
        ['localhost', '127.0.0.1', '[::1]', (string) parse_url((string) env('APP_URL', ''), PHP_URL_HOST), ...explode(',', (string) env('REACH_HOSTS', ''))],
    )))),

    // The Public Suffix List as it ships with the application.
    'public_suffix_list' => resource_path('data/public_suffix_list.dat'),

    // Bytes that one uploaded file may have.
    'max_upload' => (int) env('REACH_MAX_UPLOAD', 2 * 1024 ** 3),

    // Files of one person that may wait to be imported, their bytes together, and the days for which they may.
    'waiting_files' => (int) env('REACH_WAITING_FILES', 500),
    'waiting_bytes' => (int) env('REACH_WAITING_BYTES', 20 * 1024 ** 3),
    'waiting_days' => (int) env('REACH_WAITING_DAYS', 7),

    // Studies that one person may make, those included that were deleted and can still be taken back.
    'studies_each' => (int) env('REACH_STUDIES_EACH', 500),

    // Months for which ranking lists are kept beside the newest of each domain; 0 keeps all.
    'snapshot_months' => (int) env('REACH_SNAPSHOT_MONTHS', 0),

    // Bytes that a packed file may have once it is unpacked.
    'max_unpacked' => (int) env('REACH_MAX_UNPACKED', 4 * 1024 ** 3),

    // Bytes that one row of a file may have, so that a quote never closed cannot fill the memory.
    'max_record' => 1024 * 1024,

    // A comparison of fewer rankings than these is made by one process.
    'rankings_alone' => 200_000,

    // A comparison of so many rows has a table of its own, indexed for every order; fewer lie in the table that all share.
    'rows_of_a_large_comparison' => (int) env('REACH_LARGE_COMPARISON', 100_000),

    // Processes that make a larger one together; 0 takes as many as there are processors, at most eight.
    'comparison_processes' => (int) env('REACH_COMPARISON_PROCESSES', 0),

    // Whether the parts of a larger one go through the queue, to workers of whichever machine (lane `parts`), instead of to processes here.
    'parts_over_nodes' => (bool) env('REACH_PARTS_OVER_NODES', false),

    // Comparisons of a study that are kept beside the one it shows.
    'kept_comparisons' => 3,

    // Seconds that the database may think about one question of a request.
    'longest_question' => (int) env('REACH_LONGEST_QUESTION', 10),

    // Attempts to sign in per minute, for one address and name together.
    'sign_in_attempts' => 5,

    /* Whether administrators must have a second factor: in an installation, yes; where the application is only tried, no. */
    'administrators_need_second_factor' => (bool) env('REACH_SECOND_FACTOR', false),

    /* Hours after which a session ends, however busy it is. */
    'session_hours' => (int) env('REACH_SESSION_HOURS', 24),

    /* Days for which a deleted study can be taken back. */
    'deleted_days' => (int) env('REACH_DELETED_DAYS', 30),

    /* Days for which the audit record is kept. */
    'audit_days' => (int) env('REACH_AUDIT_DAYS', 400),

    /* What one person, or one token, can ask in a minute. */
    'requests_a_minute' => (int) env('REACH_REQUESTS_A_MINUTE', 6000),
];
