<?php

declare(strict_types=1);

// What is said of a field that breaks a rule, where its form has no words of its own.
$fill = 'Fill in ":attribute".';

return [
    'accepted' => 'Say yes to ":attribute" first.',
    'after' => '":attribute" comes after :date.',
    'array' => '":attribute" is a list.',
    'before' => '":attribute" comes before :date.',
    'between' => ['array' => '":attribute" holds :min to :max.', 'file' => '":attribute" has :min to :max kB.', 'numeric' => '":attribute" runs from :min to :max.', 'string' => '":attribute" has :min to :max characters.'],
    'boolean' => '":attribute" is yes or no.',
    'date_format' => 'Write ":attribute" as 2031-04-30.',
    'distinct' => '":attribute" is there twice. Take one of them out.',
    'file' => 'Choose a file for ":attribute".',
    'in' => 'Choose ":attribute" from what is offered.',
    'integer' => '":attribute" is a whole number, such as 12.',
    'list' => '":attribute" is a list.',
    'max' => ['array' => '":attribute" holds :max at most.', 'file' => '":attribute" has :max kB at most.', 'numeric' => '":attribute" is :max at most.', 'string' => '":attribute" has :max characters at most.'],
    'min' => ['array' => '":attribute" holds :min at least.', 'file' => '":attribute" has :min kB at least.', 'numeric' => '":attribute" is :min at least.', 'string' => '":attribute" has :min characters at least.'],
    'numeric' => '":attribute" is a number, such as 1.5.',
    'present' => $fill,
    'regex' => '":attribute" is not written as it is read.',
    'required' => $fill,
    'required_if' => $fill,
    'size' => ['array' => '":attribute" holds :size.', 'file' => '":attribute" has :size kB.', 'numeric' => '":attribute" is :size.', 'string' => '":attribute" has :size characters.'],
    'string' => '":attribute" is a text.',
    'uploaded' => '":attribute" did not arrive whole. Send it again.',
    'url' => 'Write ":attribute" as an address, such as https://lantern-rook.example/kites.',
    // Fields by their words on the screen.
    'attributes' => [
        'listWeeks' => 'Weeks listed before', 'orderNumber' => 'Order number', 'boughtOn' => 'Bought on', 'beginsOn' => 'Begins on', 'endsOn' => 'Ends on', 'seats' => 'People who may use it', 'rrule' => 'Again by rule',
        'aWeek' => 'Designs a week', 'ppi' => 'pixels per inch', 'inspiredBy' => 'Inspired by', 'designs' => 'Designs', 'titleMost' => 'Characters, title', 'tagsMost' => 'Tags, at most', 'tagMost' => 'Characters, a tag', 'descriptionMost' => 'Characters, text',
    ],
];
