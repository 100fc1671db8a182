package app.galdrin.web.baysheet;

import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.TargetWords;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceWords;

/** The words a sheet is made with. */
public record SheetSpeech(Words words, StepWords names, TargetWords targets, EvidenceWords evidence) {}
