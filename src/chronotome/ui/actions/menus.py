"""The menus: which actions stand where, in one tree. An action that stands nowhere has keys, and is found."""

from collections.abc import Iterator
from typing import NamedTuple

from chronotome.words import tr

LINE = "-"
KEY_OF_WINDOW = {"select-none": "Esc"}
"""Keys that the window sees to itself, since they end other things first."""
RECENT, TEMPLATES = "*recent", "*templates"
"""Rows that are filled while the program runs."""
KEYS_OF_ACTIONS = frozenset("sg")
"""Letters that actions have with Alt: no menu is opened by one of them."""


class Menu(NamedTuple):
    """A menu: names of actions, lines, and menus within it."""

    words: str
    rows: "tuple[str | Menu, ...]"

    @property
    def names(self) -> Iterator[str]:
        """Of all actions in it."""
        for row in self.rows:
            if isinstance(row, Menu):
                yield from row.names
            elif row != LINE and not row.startswith("*"):
                yield row


MENUS = (
    Menu(
        tr("File"),
        (
            "new",
            TEMPLATES,
            "open",
            RECENT,
            "open-session",
            LINE,
            "save",
            "save-as",
            "save-copy",
            "template",
            LINE,
            Menu(
                tr("Import"),
                (
                    "import-marks",
                    "read-groove",
                    "pattern-open",
                    "unpack",
                    "tempo-open",
                    "find-missing",
                    "read-again",
                ),
            ),
            "export",
            Menu(
                tr("Export"),
                (
                    "export-stems",
                    "slice-files",
                    "copy-files",
                    "export-marks",
                    "write-groove",
                    "tempo-midi",
                    "write-fit",
                    "kit-sfz",
                    "pattern-save",
                    "pattern-midi",
                    "pack",
                ),
            ),
            "share",
            "batch",
            LINE,
            "information",
            "quit",
        ),
    ),
    Menu(
        tr("Edit"),
        (
            "undo",
            "redo",
            "history",
            LINE,
            "cut-out",
            "copy",
            "paste",
            "duplicate",
            "drop-onset",
            "delete-close",
            LINE,
            "choose-all",
            "select-none",
            Menu(
                tr("Select"),
                (
                    "next-hit",
                    "previous-hit",
                    "extend-next",
                    "extend-previous",
                    LINE,
                    "choose-hits",
                    "choose-early",
                    "choose-late",
                    "choose-band",
                    LINE,
                    "choose-alike",
                    "choose-low",
                    "choose-mid",
                    "choose-high",
                    "choose-louder",
                    "choose-every",
                    "choose-others",
                    "choose-same",
                ),
            ),
            LINE,
            "find",
            "shortcuts",
            "preferences",
        ),
    ),
    Menu(
        tr("View"),
        (
            "stage-1",
            "stage-2",
            "stage-3",
            "stage-4",
            "stage-5",
            LINE,
            "zoom-in",
            "zoom-out",
            "fit",
            LINE,
            Menu(tr("Lane"), ("lane-drift", "lane-groove", "lane-match", "lane-loudness")),
            LINE,
            "large-lanes",
            "full-screen",
            "new-window",
            Menu(
                tr("Panels"),
                ("rail", "tray", "shelf", "pads", LINE, "next-panel", "previous-panel", LINE, "usual-layout"),
            ),
            "night",
        ),
    ),
    Menu(
        tr("Play"),
        (
            "play",
            "return",
            "hear-onset",
            "listen",
            "click",
            Menu(tr("Move playhead"), ("bar-back", "bar-on", "far-back", "far-on", "scrub-back", "scrub-on")),
            "tour",
            LINE,
            "loop",
            Menu(
                tr("Loop points"),
                ("loop-selection", "loop-section", "pull-loop", "hear-join", "own-recording"),
            ),
            Menu(
                tr("Sections"),
                ("add-section", "rename-section", "remove-section", "next-section", "previous-section"),
            ),
            LINE,
            "take",
            "hear-input",
            Menu(
                tr("Devices and sync"),
                (
                    "in-time-nothing",
                    "in-time-jack",
                    "in-time-clock",
                    "clock-tempo",
                    LINE,
                    "midi-inputs",
                    "learn-control",
                    "bound-controls",
                    LINE,
                    "input-delay",
                    "calibrate",
                ),
            ),
        ),
    ),
    Menu(
        tr("Track"),
        (
            "add-track",
            "rename-track",
            "remove-track",
            LINE,
            "track-below",
            "track-above",
            "track-up",
            "track-down",
            LINE,
            "mute",
            "solo",
            "flip",
            LINE,
            Menu(tr("Lock tracks"), ("lock", "lock-all", "make-guide", "unlock")),
            Menu(tr("Lane height"), ("track-taller", "track-lower", "fold")),
            Menu(tr("Bounce"), ("bounce", "bounce-in-place", "bounce-track", "bounce-back")),
        ),
    ),
    Menu(
        tr("Mark and fit"),
        (
            "find-hits",
            "add-onset",
            "keep-onset",
            "lock-onset",
            "pull-onset",
            Menu(
                tr("Nudge onset"),
                (
                    "frame-earlier",
                    "frame-later",
                    "mark-earlier",
                    "mark-later",
                    "mark-far-earlier",
                    "mark-far-later",
                ),
            ),
            "as-found",
            LINE,
            "tap",
            "beat-one",
            "bar-here",
            "straighten",
            Menu(
                tr("Song tempo"),
                (
                    "tempo-here",
                    "tempo-ramp",
                    "tempo-even",
                    "tempo-tap",
                    "tempo-gone",
                    LINE,
                    "use-measured",
                    "halve",
                    "double",
                ),
            ),
            Menu(tr("Song metre"), ("metre-here", "metre-gone")),
            Menu(
                tr("Recording tempo"),
                (
                    "half-time",
                    "double-time",
                    "song-tempo",
                    LINE,
                    "fewer-bars",
                    "more-bars",
                    "half-bars",
                    "double-bars",
                    LINE,
                    "as-measured",
                ),
            ),
            Menu(tr("Correct beats"), ("mend-half", "mend-double", "mend-earlier", "mend-later")),
            Menu(
                tr("Tempo sync"),
                ("follow-nobody", "follow-song", "lead-tempo", "lead-grid"),
            ),
        ),
    ),
    Menu(
        tr("Tighten"),
        (
            "once-more",
            "once-less",
            "keep-variant",
            "next-variant",
            LINE,
            Menu(
                tr("Grid and scope"),
                (
                    "grid-finer",
                    "grid-coarser",
                    "grid-ruler",
                    "next-feel",
                    LINE,
                    "swing-as-played",
                    "next-swing-of",
                    "groove-scales",
                    LINE,
                    "next-for",
                    "own-recipe",
                    "clear-own",
                ),
            ),
            Menu(
                tr("Move hits"),
                (
                    "earlier",
                    "later",
                    "far-earlier",
                    "far-later",
                    LINE,
                    "to-earlier",
                    "to-later",
                    "ripple-earlier",
                    "ripple-later",
                    LINE,
                    "leave-hit",
                    "reset-hit",
                    "reset-hits",
                ),
            ),
            Menu(tr("Warp markers"), ("tie-here", "hold", "free", "holding")),
            Menu(
                tr("Method"),
                ("next-way", "own-moving", "next-keeps", "next-fill", "next-crossing", "keep-formants"),
            ),
            Menu(
                tr("Groove"),
                (
                    "next-groove",
                    "take-groove",
                    "take-groove-4",
                    "keep-groove",
                    LINE,
                    "smooth-groove",
                    "mirror-groove",
                    "rotate-back",
                    "rotate-on",
                    "groove-1",
                    "groove-2",
                    "groove-4",
                    LINE,
                    "remove-groove",
                ),
            ),
            Menu(tr("Match"), ("break-pair", "pair-found", "hear-pair")),
            Menu(tr("Noise"), ("silence", "fade-noise", "lower-noise", "room-noise", "noise-back")),
            LINE,
            "next-check",
            "hear-place",
            "mend",
            "accept",
        ),
    ),
    Menu(
        tr("Rework"),
        (
            "cut",
            "join",
            "repeat",
            "reverse-clip",
            LINE,
            Menu(
                tr("Clip"),
                (
                    "split-hits",
                    "split-bars",
                    "keep-selection",
                    LINE,
                    "clip-earlier",
                    "clip-later",
                    LINE,
                    "rename-clip",
                    "mute-clip",
                    "group",
                    "ungroup",
                ),
            ),
            Menu(
                tr("Slice"),
                (
                    "apart",
                    "apart-marks",
                    "apart-bars",
                    "apart-1-4",
                    "apart-1-8",
                    "apart-1-16",
                    "apart-1-32",
                    "apart-parts",
                    LINE,
                    "whole",
                    "keep-whole",
                    "fills",
                ),
            ),
            Menu(
                tr("Order and rhythm"),
                (
                    "swap",
                    "shuffle",
                    "turn-order",
                    LINE,
                    "hits-double",
                    "hits-double-long",
                    "hits-half",
                    "hits-half-long",
                    LINE,
                    "take-rhythm",
                    "share-bands",
                    "all-bands",
                ),
            ),
            Menu(
                tr("Shape"),
                (
                    "roll",
                    "roll-hits",
                    LINE,
                    "scatter",
                    "keep-scatter",
                    LINE,
                    "by-tape",
                    "shape-ramp",
                    "shape-usual",
                    "as-recorded",
                ),
            ),
            LINE,
            Menu(
                tr("Kit"),
                (
                    "put-on-keys",
                    "add-to-keys",
                    "kit-fits",
                    "declick",
                    LINE,
                    "play-keys",
                    "by-ear",
                    "play-notes",
                ),
            ),
            Menu(
                tr("Pattern"),
                (
                    "pattern",
                    "pattern-empty",
                    LINE,
                    "play-in",
                    "take-round-back",
                    LINE,
                    "pattern-again",
                    "pattern-vary",
                    "pattern-longer",
                    "pattern-shorter",
                    "rounds-more",
                    "rounds-fewer",
                    LINE,
                    "chance-again",
                    "chance-keep",
                    LINE,
                    "layer-up",
                    "layer-down",
                    "layer-free",
                ),
            ),
            Menu(tr("Steps"), ("step-here", "step-up", "step-down")),
        ),
    ),
    Menu(tr("Help"), ("manual", "help", "walk", "demo", LINE, "messages", "about")),
)
"""Alt with a letter opens each: F, E, V, P, T, M, I, R, H in English."""


def paths() -> dict[str, str]:
    """By the name of each action that stands in a menu, the way to it."""
    found = dict[str, str]()

    def walk(menu: Menu, way: str) -> None:
        for row in menu.rows:
            if isinstance(row, Menu):
                walk(row, f"{way} › {row.words}")
            elif row != LINE and not row.startswith("*"):
                found[row] = way

    for menu in MENUS:
        walk(menu, menu.words)
    return found
