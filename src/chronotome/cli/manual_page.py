"""The manual page, made from the parsers themselves: what is understood is what is told."""

import argparse
import textwrap
from collections.abc import Iterator
from typing import Any

from chronotome import __version__

WIDTH = 64
"""Letters of a line, before those that mean something are marked."""
INTRODUCTION = (
    "Chronotome finds the hits of a drum or instrument recording, fits the recording to bars and beats, "
    "moves hits to the grid or to a groove, and lets them be rearranged into new rhythms. Without a command "
    "it opens its window; the commands do the same work without one. Recordings are never written into."
)
STATUS = (("0", "done"), ("1", "the input cannot be used; standard error says why"), ("2", "wrong usage"))
FILES = (
    ("$XDG_CONFIG_HOME/chronotome/settings.json", "what was chosen in Preferences"),
    ("$XDG_STATE_HOME/chronotome", "edits and takes that no saved session has yet"),
    ("$XDG_CACHE_HOME/chronotome", "what was found in recordings; can be removed at any time"),
    ("$XDG_DATA_HOME/chronotome", "grooves, templates and batch recipes that were kept"),
)


def _plain(text: str) -> str:
    """As roff prints it: a backslash, a hyphen and a period at the start of a line mean something there."""
    lines = textwrap.wrap(text, WIDTH, break_long_words=False, break_on_hyphens=False)
    marked = [line.replace("\\", "\\e").replace("-", "\\-") for line in lines]
    return "\n".join(f"\\&{line}" if line.startswith((".", "'")) else line for line in marked)


def _named(action: argparse.Action) -> str:
    """An option with what is said after it, or the word for an argument."""
    metavar = action.metavar if isinstance(action.metavar, str) else None
    value = metavar or ("|".join(map(str, action.choices)) if action.choices else action.dest.upper())
    if not action.option_strings:
        return f"\\fI{_plain(metavar or action.dest)}\\fR"
    names = ", ".join(f"\\fB{_plain(each)}\\fR" for each in action.option_strings)
    return names if action.nargs == 0 else f"{names} \\fI{_plain(value)}\\fR"


def _listed(parser: argparse.ArgumentParser) -> Iterator[str]:
    for action in parser._actions:  # noqa: SLF001 - the one list of them that there is
        if isinstance(action, argparse._SubParsersAction):  # noqa: SLF001 - the same
            continue
        yield from (".TP", _named(action), _plain(action.help or "") or "\\&")


def _usage(parser: argparse.ArgumentParser) -> str:
    return " ".join(parser.format_usage().removeprefix("usage: ").split())


def commands_of(parser: argparse.ArgumentParser) -> dict[str, tuple[argparse.ArgumentParser, str]]:
    """Each command with its parser and what it is for."""
    groups: list[Any] = [each for each in parser._actions if isinstance(each, argparse._SubParsersAction)]  # noqa: SLF001 - the same
    words = {each.dest: each.help or "" for group in groups for each in group._choices_actions}  # noqa: SLF001 - the same
    return {name: (each, words[name]) for group in groups for name, each in group.choices.items()}


def manual_page(parser: argparse.ArgumentParser, window: argparse.ArgumentParser, date: str) -> str:
    """chronotome(1), as roff."""
    lines = [f'.TH CHRONOTOME 1 "{date}" "Chronotome {__version__}" "User Commands"']
    lines += [".SH NAME", "chronotome \\- tie recordings to the beat", ".SH SYNOPSIS"]
    for usage in (_usage(window), "chronotome COMMAND ..."):
        lines += [_plain(usage), ".br"]
    lines[-1:] = [".SH DESCRIPTION", _plain(INTRODUCTION), ".SH OPTIONS"]
    lines += [*_listed(window), *_listed(parser), ".SH COMMANDS"]
    for name, (command, words) in commands_of(parser).items():
        lines += [f'.SS "chronotome {name}"', f"{_plain(words[:1].upper() + words[1:])}."]
        lines += [".PP", _plain(_usage(command)), *_listed(command)]
    for title, pairs in (("EXIT STATUS", STATUS), ("FILES", FILES)):
        lines.append(f".SH {title}")
        for left, right in pairs:
            lines += [".TP", f"\\fB{_plain(left)}\\fR", _plain(right)]
    return "\n".join(lines) + "\n"
