package finebore.mutation;

import org.pitest.bytecode.ASMVersion;
import org.pitest.mutationtest.engine.MutationIdentifier;
import org.pitest.mutationtest.engine.gregor.MethodInfo;
import org.pitest.mutationtest.engine.gregor.MethodMutatorFactory;
import org.pitest.mutationtest.engine.gregor.MutationContext;
import org.pitest.reloc.asm.MethodVisitor;
import org.pitest.reloc.asm.Opcodes;

/**
 * Makes each decimal constant 5 % larger, one at a time: a threshold or coefficient that nothing
 * holds to its value is found by it. Zero stays zero.
 */
public final class ScaledConstant implements MethodMutatorFactory {

  private static final double LARGER = 1.05;

  @Override
  public MethodVisitor create(MutationContext context, MethodInfo method, MethodVisitor next) {
    return new Visitor(context, next);
  }

  @Override
  public String getGloballyUniqueId() {
    return getClass().getName();
  }

  @Override
  public String getName() {
    return "SCALED_CONSTANTS";
  }

  private final class Visitor extends MethodVisitor {
    private final MutationContext context;

    Visitor(MutationContext context, MethodVisitor next) {
      super(ASMVersion.ASM_VERSION, next);
      this.context = context;
    }

    @Override
    public void visitLdcInsn(Object constant) {
      if (constant instanceof Double value && value != 0 && isMutated(value)) {
        super.visitLdcInsn(value * LARGER);
      } else {
        super.visitLdcInsn(constant);
      }
    }

    @Override
    public void visitInsn(int code) {
      if (code == Opcodes.DCONST_1 && isMutated(1)) {
        super.visitLdcInsn(LARGER);
      } else {
        super.visitInsn(code);
      }
    }

    private boolean isMutated(double value) {
      MutationIdentifier id =
          context.registerMutation(ScaledConstant.this, value + " made 5 % larger");
      return context.shouldMutate(id);
    }
  }
}
