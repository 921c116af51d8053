package org.undanus.core.plan;

import java.util.List;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.rules.RuleBook;

/** Draws what a station's figure shows, one drawing for each thing of its kind. */
@FunctionalInterface
public interface Figures {
    List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements);
}
