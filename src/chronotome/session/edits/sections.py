"""Edits of sections: named spans on the ruler."""

from chronotome.session.edits.timing import set_loop
from chronotome.session.model import Section, Session, replace

SHORTEST = 1 / 4
LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ"


def next_name(session: Session) -> str:
    """The first of Part A to Part Z that is not taken."""
    taken = {section.name for section in session.sections}
    names = (f"Part {letter}" for letter in LETTERS)
    return next((name for name in names if name not in taken), f"Part {len(session.sections) + 1}")


def add_section(session: Session, name: str, start: float, end: float) -> Session:
    """A named span, in beats; in order of start."""
    start, end = min(start, end), max(start, end)
    section = Section(name.strip() or next_name(session), start, end)
    if end - start < SHORTEST or section in session.sections:
        return session
    return _with(session, (*session.sections, section))


def change_section(session: Session, old: Section, **values: object) -> Session:
    """Another name or span for a section."""
    new = replace(old, **values)
    if old not in session.sections or new == old or new.end - new.start < SHORTEST or not new.name.strip():
        return session
    return _with(session, tuple(new if each == old else each for each in session.sections))


def remove_section(session: Session, section: Section) -> Session:
    if section not in session.sections:
        return session
    return _with(session, tuple(each for each in session.sections if each != section))


def loop_section(session: Session, section: Section) -> Session:
    looped = set_loop(session, section.start, section.end)
    return looped if looped.is_looping else replace(looped, is_looping=True)


def section_at(session: Session, beat: float) -> Section | None:
    """The section that a beat lies in; the shortest of several."""
    inside = [each for each in session.sections if each.start <= beat < each.end]
    return min(inside, key=lambda each: each.end - each.start, default=None)


def _with(session: Session, sections: tuple[Section, ...]) -> Session:
    ordered = tuple(sorted(sections, key=lambda each: (each.start, each.end, each.name)))
    return replace(session, sections=ordered)
