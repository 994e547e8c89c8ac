"""What the actions on sections do."""

from chronotome.session.edits.sections import (
    add_section,
    change_section,
    loop_section,
    next_name,
    remove_section,
    section_at,
)
from chronotome.session.model import Section, Session
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

BARS = 4


class SectionCommands:
    """One method for each thing that a key or a menu can do with sections."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def here(self) -> Section | None:
        """The section at the playhead."""
        return section_at(self._desk.session, self._beat())

    def _beat(self) -> float:
        session = self._desk.session
        return session.beat_of(self._desk.transport.position)

    def _ask_name(self, name: str) -> str | None:
        said = self._desk.ask.text(tr("Section"), tr("Section name:"), name)
        return said if said is not None and said.strip() else None

    def add(self) -> None:
        """Name the looped span, or four bars from the playhead's bar on."""
        session = self._desk.session
        if session.loop is not None and session.is_looping:
            start, end = session.loop.start, session.loop.end
        else:
            start = session.metre.bar_start(self._beat())
            end = session.metre.bars_from(start, BARS)
        name = self._ask_name(next_name(session))
        if name is not None:
            self._desk.store.apply(lambda each: add_section(each, name, start, end), tr("Add {0}", name))

    def rename(self, section: Section | None = None) -> None:
        section = section or self.here
        if section is None:
            self._desk.say(tr("No section at the playhead"))
            return
        name = self._ask_name(section.name)
        if name is not None:
            self.change(section, name=name)

    def change(self, section: Section, **values: object) -> None:
        self._desk.store.apply(lambda each: change_section(each, section, **values), tr("Edit section"))

    def remove(self, section: Section | None = None) -> None:
        section = section or self.here
        if section is not None:
            chosen = section
            self._desk.store.apply(lambda each: remove_section(each, chosen), tr("Remove {0}", chosen.name))

    def loop(self, section: Section | None = None) -> None:
        """Loop a section, the one at the playhead where none is said."""
        section = section or self.here
        if section is None:
            self._desk.say(tr("No section at the playhead"))
            return
        chosen = section
        self._desk.store.apply(lambda each: loop_section(each, chosen), tr("Loop {0}", chosen.name))

    def go_to(self, section: Section) -> None:
        session: Session = self._desk.session
        frame = max(0.0, session.frame_of(section.start))
        self._desk.view.sight.center_on(frame)
        self._desk.transport.go_to(frame)

    def step(self, direction: int) -> None:
        """Jump to the next section's start, or to the one before."""
        beat = self._beat()
        if direction > 0:
            later = [each for each in self._desk.session.sections if each.start > beat + 1e-6]
        else:
            later = [each for each in reversed(self._desk.session.sections) if each.start < beat - 1e-6]
        if later:
            self.go_to(later[0])
        else:
            self._desk.say(tr("No section here"))
